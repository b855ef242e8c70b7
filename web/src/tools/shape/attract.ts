import type { Context } from "../../model/context";
import { drawn, verb } from "../../model/tool";
import { entryOf, list, parameter } from "../shared/fields";
import { otherPieces } from "../shared/follower";

/** What can be drawn onto: components, then the other pieces. */
const surfaces = (context: Context) => [
  ...(context.design?.references ?? []).filter((r) => r.kind === "component"),
  ...otherPieces(context),
];

export const tool = verb({
  id: "attract",
  name: "Attract",
  station: "shape",
  section: "Even out",
  order: 76,
  icon: drawn(["M3 20c5-4 13-4 18 0", "M12 4v9", "M9.500 10.500L12 13l2.500-2.500"], [[12, 4]]),
  also: "project snap shrink wrap onto",
  hint: "Draws the picked to the nearest points of a component, or of another piece's surface.",
  needs: "selection",
  takes: ["vertex", "edge", "face"],
  eager: true,
  verb: "Attract",
  fields: {
    onto: list("Onto", (context) => surfaces(context).map(({ id, name }) => ({ id, words: name }))),
    distance: parameter("attract", "distance", { keep: true }),
    share: parameter("attract", "share", { keep: true }),
  },
  command(v, context) {
    const { target } = context;
    const onto = entryOf(surfaces(context), v.onto);
    return target && onto ? { kind: "attract", ...target, onto: onto.id, distance: v.distance, share: v.share / 100 } : null;
  },
});
