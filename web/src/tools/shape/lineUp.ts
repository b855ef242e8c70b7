import { drawn, verb } from "../../model/tool";
import { choice, parameter } from "../shared/fields";
import { axesOf } from "../shared/placing";

export const tool = verb({
  id: "line-up",
  name: "Line up",
  key: "Shift L",
  station: "shape",
  section: "Even out",
  order: 72,
  icon: drawn(["M3 17L21 7", "M6 9l1.500 5M13 17l-1.800-5M18 13l-1.300-3.500"], [[6, 8], [13, 18], [18, 14]]),
  also: "align straight row",
  hint: "Onto the line that fits best, or along an axis; through the pivot where one is set, else through the middle.",
  needs: "selection",
  takes: ["vertex", "edge"],
  eager: true,
  verb: "Line up",
  places: "pivot",
  fields: {
    line: choice("Line", { best: "that fits best", x: "along x", y: "along y", z: "along z" }, { keep: true }),
    even: parameter("line-up", "even", { keep: true }),
    share: parameter("line-up", "share"),
  },
  command(v, { target, placing }) {
    if (!target) return null;
    const along = v.line === "best" ? {} : { along: axesOf(placing)["xyz".indexOf(v.line)] };
    const point = placing.pivot ? { point: placing.pivot } : {};
    return { kind: "line-up", ...target, even: v.even === "yes", share: v.share / 100, ...along, ...point };
  },
});
