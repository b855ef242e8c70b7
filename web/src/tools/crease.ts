import { CreaseIcon } from "../theme/icons";
import type { Tool } from "./tool";

export const tool: Tool = {
  id: "crease",
  name: "Crease",
  key: "c",
  station: "shape",
  section: "Clean up",
  order: 90,
  Icon: CreaseIcon,
  hint: "0 is smooth, 10 is hard. On picked vertices it sets corners instead.",
  needs: "selection",
  verb: "Set",
  fields: [
    { name: "sharpness", label: "Sharpness", unit: "", initial: 2, step: 0.5, min: 0, max: 10, keep: true, slider: true },
  ],
  command: (v, target) =>
    target && { kind: target.picked.kind === "vertex" ? "corner" : "crease", ...target, sharpness: v.sharpness },
};
