/** Draw a closed outline point by point, and fill it with quads. */
import type { Hands } from "../../model/context";
import { drawn, form, type Pointing } from "../../model/tool";
import { apart } from "../../model/vec";
import { parameter } from "../shared/fields";

function close(hands: Hands): void {
  hands.sketch({ closed: true });
  hands.again();
}

const pointing: Pointing = {
  active: ({ sketch }) => !sketch.closed,
  query: () => ({}),
  click(spot, towards, { sketch: { spots } }, hands) {
    const first = spots[0]?.point;
    const span = Math.max(...spots.map((s) => apart(s.point, first)), 0);
    if (spots.length > 2 && apart(spot.point, first) < 0.06 * span) close(hands);
    else hands.sketch({ spots: [...spots, spot], towards: spot.normal ?? towards });
  },
  key(key, { sketch: { spots } }, hands) {
    if (!spots.length) return false;
    if (key === "Enter" && spots.length > 2) close(hands);
    else if (key === "Backspace") hands.sketch({ spots: spots.slice(0, -1) });
    else if (key === "Escape") hands.clearSketch();
    else return false;
    return true;
  },
};

export const tool = form({
  id: "draw-outline",
  name: "Draw outline",
  station: "rough",
  order: 110,
  icon: drawn(["M4 16c1-7 5-11 9-9s6 8 2 11-11 2-11-2z"], [[6.5, 9.5], [17, 11], [8, 19.5]]),
  also: "draw curve line patch",
  hint: "Click points around; Enter, or a click on the first point, closes the outline and fills it.",
  verb: "Fill",
  fields: {
    joined: parameter("fill-drawn", "smooth"),
    around: parameter("fill-drawn", "around", { initial: 12, min: 4 }),
    rings: parameter("fill-drawn", "rings"),
  },
  command(v, { sketch: { spots, closed, towards } }) {
    if (!closed || spots.length < 3) return null;
    const points = spots.map((spot) => spot.point) as [[number, number, number]];
    return { kind: "fill-drawn", name: "Patch", points, towards, smooth: v.joined === "yes", around: v.around, rings: v.rings };
  },
  pointing,
});
