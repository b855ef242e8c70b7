/** Drawn point by point: a click on the first point closes the line; or by a stroke. */
import { apart } from "../../model/vec";
import type { Context, Hands } from "../../model/context";
import type { Spot, SpotQuery } from "../../model/sketch";
import type { Values } from "../../model/values";
import type { Pointing } from "../../model/tool";

function close(hands: Hands): void {
  hands.sketch({ closed: true });
  hands.again();
}

/** A stroke goes on along what it was begun on: a surface, a component, or the working plane. */
const along = (begun: Spot): SpotQuery => (begun.on === "plane" || begun.on === "picture" ? { plane: true } : { bare: true });

/** Points of one stroke that lie on what it was begun on. */
function onOne(line: Spot[]): Spot[] {
  const [begun] = line;
  const flat = (spot: Spot) => spot.on === "plane" || spot.on === "picture";
  return line.filter((spot) => (flat(begun) ? flat(spot) : spot.piece === begun.piece && spot.reference === begun.reference && !flat(spot)));
}

/** With `enterCloses` Enter closes it as well, where three points are set. */
export const pointByPoint = (enterCloses: boolean): Pointing => ({
  active: ({ sketch }) => !sketch.closed || sketch.freehand,
  query: (_, begun) => (begun ? along(begun) : {}),
  click(spot, towards, { sketch }, hands) {
    // After a stroke a click begins anew.
    const spots = sketch.freehand ? [] : sketch.spots;
    if (sketch.freehand) hands.clearSketch();
    const first = spots[0]?.point;
    const span = Math.max(...spots.map((s) => apart(s.point, first)), 0);
    if (spots.length > 2 && apart(spot.point, first) < 0.06 * span) return close(hands);
    hands.sketch({ spots: [...spots, spot], towards: spot.normal ?? towards });
    hands.again();
  },
  key(key, { sketch: { spots, closed, freehand } }, hands) {
    if (!spots.length) return false;
    if (key === "Enter" && enterCloses && !closed && spots.length > 2) close(hands);
    else if (key === "Escape" || (key === "Backspace" && freehand)) hands.clearSketch();
    else if (key === "Backspace") {
      // First it is opened again, then points go.
      hands.sketch(closed ? { closed: false } : { spots: spots.slice(0, -1) });
      hands.again();
    } else return false;
    return true;
  },
});

/** As point by point; a drag draws a stroke, which closes where it comes back to its beginning. On forms, where that is asked. */
export const byHandToo = (enterCloses: boolean, onForms: (values: Values) => boolean): Pointing => ({
  ...pointByPoint(enterCloses),
  query: ({ values }, begun) => (begun ? along(begun) : onForms(values) ? { faces: true } : {}),
  stroke(line, towards, _, hands) {
    const spots = onOne(line);
    if (spots.length < 2) return;
    const [first] = spots;
    const span = Math.max(...spots.map((spot) => apart(spot.point, first.point)));
    const closed = spots.length > 8 && apart(spots[spots.length - 1].point, first.point) < 0.06 * span;
    hands.sketch({ spots, closed, freehand: true, towards: first.normal ?? towards });
    hands.again();
  },
});

/** Backspace takes the last point back, Escape all of them; what they come to is asked again where `asks`. */
export function takesBack(key: string, { sketch: { spots } }: Context, hands: Hands, asks: boolean): boolean {
  if (!spots.length) return false;
  if (key === "Backspace") hands.sketch({ spots: spots.slice(0, -1) });
  else if (key === "Escape") hands.clearSketch();
  else return false;
  if (asks) hands.again();
  return true;
}

/** A line across the view, by its two ends. */
export const twoEnds = (when: (context: Context) => boolean): Pointing => ({
  active: (context) => when(context) && context.sketch.spots.length < 2,
  query: () => ({ anywhere: true }),
  click(spot, towards, { sketch: { spots } }, hands) {
    hands.sketch({ spots: [...spots, spot], towards });
    if (spots.length) hands.again();
  },
  key: (key, context, hands) => takesBack(key, context, hands, false),
});
