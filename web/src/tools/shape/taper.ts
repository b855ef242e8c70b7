import { drawn, verb } from "../../model/tool";
import { choice, parameter } from "../shared/fields";
import { axesOf, reaching } from "../shared/placing";

export const tool = verb({
  id: "taper",
  name: "Taper",
  station: "shape",
  section: "Place",
  order: 38,
  icon: drawn(["M5 21h14L15 4H9z", "M7 13h10"]),
  also: "narrow cone draft",
  hint: "Narrower or wider across an axis, evenly from the end that is held; through the pivot where one is set.",
  needs: "selection",
  eager: true,
  verb: "Taper",
  places: "pivot",
  reaches: true,
  fields: {
    axis: choice("Axis", { x: "x", y: "y", z: "z" }, { keep: true, initial: "z" }),
    factor: parameter("taper", "factor", { initial: 70, keep: true }),
    held: parameter("taper", "held", { keep: true }),
  },
  command(v, context) {
    const { target, placing } = context;
    if (!target || v.factor === 100) return null;
    const axis = axesOf(placing)["xyz".indexOf(v.axis)];
    return { kind: "taper", ...target, axis, factor: v.factor / 100, held: v.held, pivot: placing.pivot, ...reaching(context) };
  },
  parts: [{ kind: "bead" }],
  // Two pixels are one per cent.
  dragged: ({ vector }, start, { view }) => ({ values: { factor: Math.max(0, start.factor + vector[0] / view.pixel / 2) }, field: "factor" }),
});
