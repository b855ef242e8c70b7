/** Lay a component by pairs: a point on it, then where that belongs, three times or more. */
import type { Context } from "../../model/context";
import { drawn, type Pointing, verb } from "../../model/tool";
import { takesBack } from "../shared/drawing";
import { asItLies, keptFromMoving, movable, movableList } from "../shared/components";

const pointing: Pointing = {
  active: () => true,
  query: () => ({ bare: true }),
  click(spot, towards, context, hands) {
    const { spots } = context.sketch;
    // Of a pair the first lies on the component, which a preview may show elsewhere.
    const point = spots.length % 2 ? spot.point : asItLies(context, spot.reference, spot.point);
    hands.sketch({ spots: [...spots, { ...spot, point }], towards, paired: true });
    if (spots.length >= 5 && spots.length % 2) hands.again();
  },
  key: (key, context, hands) => takesBack(key, context, hands, true),
};

/** What the next click is, in words. */
export function nextPoint({ sketch: { spots } }: Pick<Context, "sketch">): string {
  const pair = Math.floor(spots.length / 2) + 1;
  const more = spots.length >= 6 && spots.length % 2 === 0 ? `${pair - 1} pairs are set. For another one, click` : `Pair ${pair}: click`;
  return spots.length % 2 ? `${more} where that point belongs.` : `${more} a point on the component.`;
}

export const tool = verb({
  id: "place-by-pairs",
  name: "By pairs of points",
  station: "set-out",
  section: "Place a component",
  order: 60,
  icon: drawn(["M4 18l6-3M8 6l8 1M15 19l5-5"], [[4, 18], [10, 15], [8, 6], [16, 7], [15, 19], [20, 14]]),
  also: "scan align register three points",
  hint: "Three pairs or more: a point on the component, then where it belongs. Backspace takes the last one back.",
  needs: "piece",
  verb: "Place it",
  leaves: () => true,
  missing: keptFromMoving,
  fields: { component: movableList() },
  command(v, context) {
    const component = movable(context, v.component);
    const { spots } = context.sketch;
    const count = Math.floor(spots.length / 2);
    if (!component || count < 3) return null;
    const every = (k: number) => spots.slice(0, 2 * count).flatMap((spot, i) => (i % 2 === k ? [spot.point] : [])) as [[number, number, number]];
    return { kind: "place-by-pairs", reference: component.id, here: every(0), there: every(1) };
  },
  pointing,
  below: "PairsLine",
});
