import { CreaseIcon } from "../theme/icons";
import { viewPixel } from "../live/placing";
import type { Tool } from "./tool";

export const tool: Tool = {
  id: "crease",
  name: "Crease",
  key: "c",
  station: "refine",
  section: "Sharpness",
  order: 30,
  Icon: CreaseIcon,
  hint: "0 is smooth, 10 is hard: type it, or drag the bead. On picked vertices it sets corners instead.",
  needs: "selection",
  verb: "Set",
  fields: [
    { name: "sharpness", label: "Sharpness", unit: "", initial: 2, step: 0.5, min: 0, max: 10, keep: true, slider: true },
  ],
  parts: [{ kind: "bead" }],
  // Twenty pixels are one more.
  dragged: ({ vector }, _, start) => {
    const sharpness = start.sharpness + vector[0] / viewPixel.current / 20;
    return { values: { sharpness: Math.round(10 * Math.max(0, Math.min(10, sharpness))) / 10 }, field: "sharpness" };
  },
  command: (v, target) =>
    target && { kind: target.picked.kind === "vertex" ? "corner" : "crease", ...target, sharpness: v.sharpness },
};
