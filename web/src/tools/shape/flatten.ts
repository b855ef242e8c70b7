import { drawn, verb } from "../../model/tool";
import { choice, parameter } from "../shared/fields";
import { axesOf } from "../shared/placing";

const across = { best: "that fits best", x: "across x", y: "across y", z: "across z" };

export const tool = verb({
  id: "flatten",
  name: "Flatten",
  station: "shape",
  section: "Even out",
  order: 70,
  icon: drawn(["M3 19h18", "M4 13c3-6 5-6 8-2s5 3 8-2", "M8 14v2.500M16 13v3.500"]),
  also: "plane level straight",
  hint: "Into the plane that fits best, or across an axis; through the pivot where one is set, else through the middle.",
  needs: "selection",
  takes: ["vertex", "edge", "face"],
  eager: true,
  verb: "Flatten",
  places: "pivot",
  fields: { plane: choice("Plane", across, { keep: true }), share: parameter("flatten", "share") },
  command(v, { target, placing }) {
    if (!target) return null;
    const normal = v.plane === "best" ? {} : { normal: axesOf(placing)["xyz".indexOf(v.plane)] };
    const point = placing.pivot ? { point: placing.pivot } : {};
    return { kind: "flatten", ...target, share: v.share / 100, ...normal, ...point };
  },
});
