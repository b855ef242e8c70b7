/** Draw a wire point by point. */
import { drawn, form } from "../../model/tool";
import { pointByPoint } from "../shared/drawing";
import { parameter } from "../shared/fields";

export const tool = form({
  id: "draw-wire",
  name: "Draw wire",
  station: "rough",
  section: "Curves",
  order: 202,
  icon: drawn(["M3 17c3-9 6-11 9-6s6 4 9-5", "M3 20c4-8 6-9 8-6s8 5 11-5"]),
  also: "pipe tube curve rod line sweep",
  hint: "Click points along the wire; a click on the first makes it a ring. Backspace takes the last one back.",
  verb: "Draw",
  fields: {
    diameter: parameter("draw-wire", "diameter"),
    around: parameter("draw-wire", "around"),
    each: parameter("draw-wire", "each"),
    ends: parameter("draw-wire", "ends"),
  },
  shown: { ends: (_, { sketch }) => !sketch.closed },
  command(v, { sketch: { spots, closed } }) {
    if (spots.length < 2) return null;
    const points = spots.map((spot) => spot.point) as [[number, number, number]];
    return { kind: "draw-wire", name: "Wire", points, closed: !!closed, diameter: v.diameter, around: v.around, each: v.each, ends: v.ends };
  },
  pointing: pointByPoint(false),
});
