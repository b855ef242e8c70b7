import { axes, axisNames, drawn, verb } from "../../model/tool";
import { angle } from "../shared/fields";
import { axesOf, reaching } from "../shared/placing";

const none = { x: 0, y: 0, z: 0 };

export const tool = verb({
  id: "turn",
  name: "Turn",
  key: "T",
  station: "shape",
  section: "Place",
  order: 20,
  icon: drawn(["M5 15a7.500 7.500 0 1 1 4 4.600", "M4 9.500l1 5.500 5-2"], [[12, 12]]),
  also: "rotate spin angle",
  hint: "Drag one of the three arcs; it turns about the pivot.",
  needs: "selection",
  verb: "Turn",
  places: "pivot",
  reaches: true,
  springsTo: "extrude",
  fields: { x: angle("About x", 0), y: angle("About y", 0), z: angle("About z", 0) },
  command(v, context) {
    const { target, placing } = context;
    const axis = axisNames.findIndex((name) => v[name]);
    if (!target || axis < 0) return null;
    const pivot = placing.pivot ? { pivot: placing.pivot } : {};
    return { kind: "turn", ...target, axis: axesOf(placing)[axis], degrees: v[axisNames[axis]], ...pivot, ...reaching(context) };
  },
  parts: axes.map((axis) => ({ kind: "arc" as const, axis })),
  dragged({ part, amount }) {
    const field = axisNames["axis" in part ? part.axis : 0];
    return { values: { ...none, [field]: amount }, field };
  },
  // One axis at a time: three turns in one step would depend on their order.
  typed: (v, field) => ({ ...none, [field]: v[field] }),
});
