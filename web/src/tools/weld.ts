import { WeldIcon } from "../theme/icons";
import type { Tool } from "./tool";

const targets = ["close", "middle", "vertex", "point"] as const;

export const tool: Tool = {
  id: "weld",
  name: "Weld",
  key: "w",
  shift: true,
  station: "shape",
  section: "Join",
  order: 54,
  Icon: WeldIcon,
  hint: "What would become one vertex is shown before it is applied.",
  needs: "selection",
  takes: ["vertex", "edge"],
  eager: true,
  verb: "Weld",
  places: (v) => targets[v.to] === "point",
  fields: [
    { name: "to", label: "Weld", unit: "", initial: 0, step: 1, keep: true, options: ["what lies close", "all in the middle", "all onto the last picked", "all at the pivot"] },
    { name: "tolerance", label: "Within", unit: "mm", initial: 0.1, step: 0.1, min: 0, keep: true, when: (v) => v.to === 0 },
  ],
  command: (v, target, placing) => {
    if (!target) return null;
    const to = targets[v.to];
    const onto = to === "vertex" && target.picked.kind === "vertex" ? { onto: target.picked.ids[target.picked.ids.length - 1] } : {};
    const point = to === "point" ? { point: placing.pivot ?? ([0, 0, 0] as [number, number, number]) } : {};
    return { kind: "weld", ...target, to, tolerance: v.tolerance, ...onto, ...point };
  },
};
