/** Draw a curve point by point, or by a stroke of the hand. */
import { drawn, form } from "../../model/tool";
import { byHandToo } from "../shared/drawing";
import { choice, parameter } from "../shared/fields";

export const tool = form({
  id: "draw-curve",
  name: "Draw curve",
  station: "rough",
  section: "Curves",
  order: 201,
  icon: drawn(["M3 19c2-10 7-12 9-7s6 3 9-7"], [[3, 19], [12, 12], [21, 5]]),
  also: "line polyline spline path freehand points sketch stroke pen",
  hint: "Click point by point, or draw it by a stroke; back at its beginning it closes. Backspace takes the last point back.",
  verb: "Draw",
  fields: {
    on: choice("On", { plane: "the working plane", forms: "forms and scans" }, { keep: true }),
    way: parameter("draw-curve", "way", { keep: true }),
    tolerance: parameter("draw-freehand", "tolerance", { keep: true }),
  },
  shown: { way: (_, { sketch }) => !sketch.freehand, tolerance: (_, { sketch }) => sketch.freehand },
  command(v, { sketch: { spots, closed, freehand } }) {
    if (spots.length < 2) return null;
    const points = spots.map((spot) => spot.point) as [[number, number, number]];
    if (freehand) return { kind: "draw-freehand", name: "Curve", points: thinned(points), closed: !!closed, tolerance: v.tolerance };
    return { kind: "draw-curve", name: "Curve", points, closed: !!closed, way: v.way };
  },
  pointing: byHandToo(false, ({ on }) => on === "forms"),
});

const most = 4000;
/** As many points as are taken, evenly left out of a very long stroke. */
const thinned = <P>(points: [P]): [P] => {
  const step = Math.ceil(points.length / most);
  return points.filter((_, k) => k % step === 0 || k === points.length - 1) as [P];
};
