import { DetachIcon } from "../theme/icons";
import type { Tool } from "./tool";

export const tool: Tool = {
  id: "detach",
  name: "Detach",
  key: "d",
  shift: true,
  station: "shape",
  section: "Join",
  order: 60,
  Icon: DetachIcon,
  hint: "Parts the picked faces from the rest.",
  needs: "selection",
  takes: ["face"],
  verb: "Detach",
  fields: [{ name: "as", label: "They become", unit: "", initial: 0, step: 1, keep: true, options: ["a piece of their own", "a part of this piece"] }],
  command: (v, target) => target && { kind: "detach", ...target, as_piece: v.as === 0 },
};
