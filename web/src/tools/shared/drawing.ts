/** Drawn point by point: a click on the first point closes the line. */
import { apart } from "../../model/vec";
import type { Hands } from "../../model/context";
import type { Pointing } from "../../model/tool";

function close(hands: Hands): void {
  hands.sketch({ closed: true });
  hands.again();
}

/** With `enterCloses` Enter closes it as well, where three points are set. */
export const pointByPoint = (enterCloses: boolean): Pointing => ({
  active: ({ sketch }) => !sketch.closed,
  query: () => ({}),
  click(spot, towards, { sketch: { spots } }, hands) {
    const first = spots[0]?.point;
    const span = Math.max(...spots.map((s) => apart(s.point, first)), 0);
    if (spots.length > 2 && apart(spot.point, first) < 0.06 * span) return close(hands);
    hands.sketch({ spots: [...spots, spot], towards: spot.normal ?? towards });
    hands.again();
  },
  key(key, { sketch: { spots, closed } }, hands) {
    if (!spots.length) return false;
    if (key === "Enter" && enterCloses && !closed && spots.length > 2) close(hands);
    else if (key === "Escape") hands.clearSketch();
    else if (key === "Backspace") {
      // First it is opened again, then points go.
      hands.sketch(closed ? { closed: false } : { spots: spots.slice(0, -1) });
      hands.again();
    } else return false;
    return true;
  },
});
