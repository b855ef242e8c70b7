import { sizeDrawing } from "../../model/drawings";
import { axes, axisNames, verb } from "../../model/tool";
import { share } from "../shared/fields";
import { reaching } from "../shared/placing";

export const tool = verb({
  id: "size",
  name: "Size",
  key: "S",
  station: "shape",
  section: "Place",
  order: 30,
  icon: sizeDrawing,
  also: "scale resize stretch",
  hint: "Drag a bead along its stalk for one direction, the middle bead for all three. 0 % lines things up.",
  needs: "selection",
  verb: "Size",
  places: "pivot",
  reaches: true,
  springsTo: "extrude",
  fields: {
    all: share("All", 100, { min: 0 }),
    x: share("Along x", 100, { min: 0 }),
    y: share("Along y", 100, { min: 0 }),
    z: share("Along z", 100, { min: 0 }),
  },
  command(v, context) {
    const { target, placing } = context;
    const factors = axisNames.map((name) => (v.all / 100) * (v[name] / 100)) as [number, number, number];
    if (!target || factors.every((factor) => factor === 1)) return null;
    const pivot = placing.pivot ? { pivot: placing.pivot } : {};
    const frame = placing.frame ? { frame: placing.frame } : {};
    return { kind: "size", ...target, factors, ...pivot, ...frame, ...reaching(context) };
  },
  parts: [...axes.map((axis) => ({ kind: "knob" as const, axis })), { kind: "bead" }],
  dragged({ part, amount }) {
    const field = part.kind === "knob" ? axisNames[part.axis] : "all";
    return { values: { all: 100, x: 100, y: 100, z: 100, [field]: amount * 100 }, field };
  },
});
