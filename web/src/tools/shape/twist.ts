import { drawn, verb } from "../../model/tool";
import { choice, parameter } from "../shared/fields";
import { axesOf, reaching } from "../shared/placing";

export const tool = verb({
  id: "twist",
  name: "Twist",
  station: "shape",
  section: "Place",
  order: 36,
  icon: drawn(["M7 3c0 5 10 5 10 9s-10 4-10 9", "M17 3c0 5-10 5-10 9s10 4 10 9", "M9 6.500h6M9 17.500h6"]),
  also: "screw spiral rotate",
  hint: "Turns about an axis, more and more along it; through the pivot where one is set. A few loops across the axis make it smooth.",
  needs: "selection",
  eager: true,
  verb: "Twist",
  places: "pivot",
  reaches: true,
  fields: {
    axis: choice("About", { x: "x", y: "y", z: "z" }, { keep: true, initial: "z" }),
    degrees: parameter("twist", "degrees", { initial: 45, keep: true }),
    held: parameter("twist", "held", { keep: true }),
  },
  command(v, context) {
    const { target, placing } = context;
    if (!target || !v.degrees) return null;
    const axis = axesOf(placing)["xyz".indexOf(v.axis)];
    return { kind: "twist", ...target, axis, degrees: v.degrees, held: v.held, pivot: placing.pivot, ...reaching(context) };
  },
  parts: [{ kind: "bead" }],
  // Two pixels are one degree.
  dragged: ({ vector }, start, { view }) => ({ values: { degrees: start.degrees + vector[0] / view.pixel / 2 }, field: "degrees" }),
});
