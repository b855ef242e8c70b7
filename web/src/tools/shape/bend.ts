import { drawn, verb } from "../../model/tool";
import { times } from "../../model/vec";
import { choice, parameter } from "../shared/fields";
import { axesOf, reaching } from "../shared/placing";

export const tool = verb({
  id: "bend",
  name: "Bend",
  station: "shape",
  section: "Place",
  order: 37,
  icon: drawn(["M6 21V4", "M6 21c0-9 4-14 13-15", "M15 3l4 3-3 4"]),
  also: "curve arc",
  hint: "Into an arc along an axis, towards a side. What lies on the axis keeps its length; beyond the picked it goes straight on.",
  needs: "selection",
  eager: true,
  verb: "Bend",
  places: "pivot",
  reaches: true,
  fields: {
    axis: choice("Axis", { x: "x", y: "y", z: "z" }, { keep: true, initial: "z" }),
    towards: choice("Towards", { "+x": "+ x", "-x": "− x", "+y": "+ y", "-y": "− y", "+z": "+ z", "-z": "− z" }, { keep: true }),
    degrees: parameter("bend", "degrees", { initial: 45, keep: true }),
    held: parameter("bend", "held", { keep: true }),
  },
  command(v, context) {
    const { target, placing } = context;
    if (!target || !v.degrees) return null;
    const axes = axesOf(placing);
    const axis = axes["xyz".indexOf(v.axis)];
    const towards = times(axes["xyz".indexOf(v.towards[1])], v.towards.startsWith("-") ? -1 : 1);
    return { kind: "bend", ...target, axis, towards, degrees: v.degrees, held: v.held, pivot: placing.pivot, ...reaching(context) };
  },
  parts: [{ kind: "bead" }],
  dragged: ({ vector }, start, { view }) => ({ values: { degrees: start.degrees + vector[0] / view.pixel / 2 }, field: "degrees" }),
});
