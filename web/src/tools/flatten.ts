import { FlattenIcon } from "../theme/icons";
import { axesOf } from "./placing";
import { shareOfTheWay } from "./forms";
import type { Tool } from "./tool";

export const tool: Tool = {
  id: "flatten",
  name: "Flatten",
  station: "shape",
  section: "Even out",
  order: 70,
  Icon: FlattenIcon,
  hint: "Into the plane that fits best, or across an axis; through the pivot where one is set, else through the middle.",
  needs: "selection",
  takes: ["vertex", "edge", "face"],
  eager: true,
  verb: "Flatten",
  places: true,
  fields: [
    { name: "plane", label: "Plane", unit: "", initial: 0, step: 1, keep: true, options: ["that fits best", "across x", "across y", "across z"] },
    shareOfTheWay(),
  ],
  command: (v, target, placing) => {
    if (!target) return null;
    const normal = v.plane ? { normal: axesOf(placing)[v.plane - 1] } : {};
    const point = placing.pivot ? { point: placing.pivot } : {};
    return { kind: "flatten", ...target, share: v.share / 100, ...normal, ...point };
  },
};
