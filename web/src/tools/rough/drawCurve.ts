/** Draw a curve point by point. */
import { drawn, form } from "../../model/tool";
import { pointByPoint } from "../shared/drawing";
import { parameter } from "../shared/fields";

export const tool = form({
  id: "draw-curve",
  name: "Draw curve",
  station: "rough",
  section: "Curves",
  order: 201,
  icon: drawn(["M3 19c2-10 7-12 9-7s6 3 9-7"], [[3, 19], [12, 12], [21, 5]]),
  also: "line polyline spline path freehand points",
  hint: "Click point by point; a click on the first closes it. Backspace takes the last one back.",
  verb: "Draw",
  fields: { way: parameter("draw-curve", "way", { keep: true }) },
  command(v, { sketch: { spots, closed } }) {
    if (spots.length < 2) return null;
    const points = spots.map((spot) => spot.point) as [[number, number, number]];
    return { kind: "draw-curve", name: "Curve", points, closed: !!closed, way: v.way };
  },
  pointing: pointByPoint(false),
});
