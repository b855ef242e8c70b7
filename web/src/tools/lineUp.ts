import { LineUpIcon } from "../theme/icons";
import { axesOf } from "./placing";
import { shareOfTheWay } from "./forms";
import type { Tool } from "./tool";

export const tool: Tool = {
  id: "line-up",
  name: "Line up",
  key: "l",
  shift: true,
  station: "shape",
  section: "Even out",
  order: 72,
  Icon: LineUpIcon,
  hint: "Onto the line that fits best, or along an axis; through the pivot where one is set, else through the middle.",
  needs: "selection",
  takes: ["vertex", "edge"],
  eager: true,
  verb: "Line up",
  places: true,
  fields: [
    { name: "line", label: "Line", unit: "", initial: 0, step: 1, keep: true, options: ["that fits best", "along x", "along y", "along z"] },
    { name: "even", label: "Distances", unit: "", initial: 0, step: 1, keep: true, options: ["as they are", "even"] },
    shareOfTheWay(),
  ],
  command: (v, target, placing) => {
    if (!target) return null;
    const along = v.line ? { along: axesOf(placing)[v.line - 1] } : {};
    const point = placing.pivot ? { point: placing.pivot } : {};
    return { kind: "line-up", ...target, even: v.even === 1, share: v.share / 100, ...along, ...point };
  },
};
