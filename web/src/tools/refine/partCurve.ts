import type { Context } from "../../model/context";
import { drawn, verb } from "../../model/tool";
import { parameter } from "../shared/fields";
import { curvesInHand } from "../shared/growth";

export const tool = verb({
  id: "part-curve",
  name: "Part or trim",
  station: "refine",
  section: "Curves",
  order: 56,
  icon: drawn(["M3 17c2-6 4-8 7-7", "M14 12c3 1 5-1 7-6", "M11 5l2 4M11 14l2 4"]),
  also: "split cut open divide trim",
  hint: "At one control point; of two curves the one in hand, where the other passes. Keep one part, and the rest is cut off.",
  needs: "piece",
  verb: "Part",
  fields: { keep: parameter("part-curve", "keep"), within: parameter("part-curve", "within") },
  shown: { within: (_, context) => curvesInHand(context).length === 2 },
  missing: (context) => (onePoint(context) || curvesInHand(context).length === 2 ? null : "Pick one control point of a curve (V), or two curves (W, then Shift)."),
  eager: true,
  then: "move",
  command(v, context) {
    const [first, second] = curvesInHand(context);
    if (!first) return null;
    if (second) return { kind: "part-curve", piece: first.id, by: second.id, within: v.within, keep: v.keep };
    return onePoint(context) && context.target ? { kind: "part-curve", piece: first.id, picked: context.target.picked, keep: v.keep } : null;
  },
});

const onePoint = ({ piece, pickKind, picked }: Context) => !!piece?.curve && pickKind === "vertex" && picked.length === 1;
