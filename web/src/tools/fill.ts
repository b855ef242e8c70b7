import { FillIcon } from "../theme/icons";
import type { Tool } from "./tool";

const ways = ["quads", "rings", "face"] as const;

export const tool: Tool = {
  id: "fill",
  name: "Fill",
  key: "f",
  shift: true,
  station: "shape",
  section: "Join",
  order: 56,
  Icon: FillIcon,
  hint: "One open edge or vertex of a hole is enough: the whole hole is filled.",
  needs: "selection",
  takes: ["edge", "vertex", "face"],
  eager: true,
  verb: "Fill",
  fields: [
    { name: "way", label: "With", unit: "", initial: 0, step: 1, keep: true, options: ["a grid of quads", "rings that lead on", "a single face"] },
    { name: "rings", label: "Rings", unit: "", initial: 1, step: 1, min: 1, max: 32, whole: true, keep: true, when: (v) => v.way === 1 },
    { name: "turned", label: "Turn grid by", unit: "", initial: 0, step: 1, whole: true, when: (v) => v.way !== 2 },
  ],
  command: (v, target) => target && { kind: "fill", ...target, way: ways[v.way], rings: v.rings, turned: v.turned },
};
