import { drawn, verb } from "../../model/tool";
import type { Vec } from "../../model/vec";
import { directionOf, towards, typedShown } from "../shared/directions";
import { parameter } from "../shared/fields";
import { curvesInHand } from "../shared/growth";

export const tool = verb({
  id: "offset-curve",
  name: "Offset curve",
  station: "refine",
  section: "Curves",
  order: 59,
  icon: drawn(["M4 18c0-8 4-12 14-13", "M8 20c0-6 4-9 12-10"]),
  also: "parallel distance beside",
  hint: "Another curve beside it, at a distance; below 0 to the other side.",
  needs: "piece",
  verb: "Offset",
  fields: { distance: parameter("offset-curve", "distance"), ...towards("normal", "In the plane across", "+z") },
  shown: typedShown("normal"),
  missing: (context) => (curvesInHand(context).length ? null : "Take a curve in hand first."),
  eager: true,
  then: "move",
  command(v, context) {
    const [first] = curvesInHand(context);
    const normal: Vec = directionOf(v, "normal") ?? [0, 0, 1];
    return first && v.distance ? { kind: "offset-curve", piece: first.id, distance: v.distance, normal } : null;
  },
});
