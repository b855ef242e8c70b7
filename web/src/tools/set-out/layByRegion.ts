/** Lay a component by a flat side or a cylinder of it: clicks on it tell which. */
import { drawn, type Pointing, verb } from "../../model/tool";
import type { Vec } from "../../model/vec";
import { takesBack } from "../shared/drawing";
import { asItLies, keptFromMoving, movable, movableList } from "../shared/components";
import { parameter } from "../shared/fields";

const pointing: Pointing = {
  active: () => true,
  query: () => ({ bare: true }),
  click(spot, towards, context, hands) {
    const { spots } = context.sketch;
    if (!spot.reference) return;
    const point = asItLies(context, spot.reference, spot.point);
    // Each for itself: no line leads from one to the next.
    hands.sketch({ spots: [...spots, { ...spot, point }], towards, apart: true });
    hands.again();
  },
  key: (key, context, hands) => takesBack(key, context, hands, true),
};

export const tool = verb({
  id: "lay-by-region",
  name: "By side or axis",
  station: "set-out",
  section: "Place a component",
  order: 66,
  icon: drawn(["M3 19h18", "M7 15l10-4v-5L7 10z"], [[10, 11], [14, 9.5]]),
  also: "scan plane flat cylinder level ground align region upright",
  hint: "Click a flat side of a component, or a cylinder all round: by all that lies around the clicks it is laid across an axis, or along it.",
  needs: "piece",
  verb: "Place it",
  leaves: () => true,
  missing: keptFromMoving,
  fields: {
    component: movableList(),
    what: parameter("lay-by-region", "what"),
    axis: parameter("lay-by-region", "axis"),
    radius: parameter("lay-by-region", "radius", { keep: true }),
  },
  command(v, context) {
    const component = movable(context, v.component);
    const { spots } = context.sketch;
    if (!component || !spots.length) return null;
    const places = spots.map((spot) => spot.point) as [Vec];
    return { kind: "lay-by-region", reference: component.id, places, radius: v.radius, what: v.what, axis: v.axis };
  },
  pointing,
});
