/** Draw a wire point by point. */
import { drawn, form, type Pointing } from "../../model/tool";
import { apart } from "../../model/vec";
import { parameter } from "../shared/fields";

const pointing: Pointing = {
  active: ({ sketch }) => !sketch.closed,
  query: () => ({}),
  click(spot, towards, { sketch: { spots } }, hands) {
    const first = spots[0]?.point;
    const span = Math.max(...spots.map((s) => apart(s.point, first)), 0);
    // Back at the first point it becomes a ring.
    if (spots.length > 2 && apart(spot.point, first) < 0.06 * span) hands.sketch({ closed: true });
    else hands.sketch({ spots: [...spots, spot], towards });
    hands.again();
  },
  key(key, { sketch: { spots } }, hands) {
    if (!spots.length) return false;
    if (key === "Backspace") hands.sketch({ spots: spots.slice(0, -1), closed: false });
    else if (key === "Escape") hands.clearSketch();
    else return false;
    hands.again();
    return true;
  },
};

export const tool = form({
  id: "draw-wire",
  name: "Draw wire",
  station: "rough",
  order: 120,
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
  pointing,
});
