import { drawn, verb } from "../../model/tool";
import { curvesInHand } from "../shared/growth";

export const tool = verb({
  id: "join-curves",
  name: "Join or close",
  station: "refine",
  section: "Curves",
  order: 57,
  icon: drawn(["M3 17c2-6 4-8 9-7", "M12 10c4 1 6-1 9-6"], [[12, 10]]),
  also: "curves connect close loop ends",
  hint: "Two open curves become one at their nearest ends; of one, its two ends.",
  needs: "piece",
  verb: "Join",
  fields: {},
  missing: (context) => (curvesInHand(context).some((p) => p.curve && !p.curve.closed) ? null : "Pick one open curve, or two (W, then Shift)."),
  eager: true,
  then: "move",
  command(_, context) {
    const [first, second] = curvesInHand(context);
    if (!first) return null;
    return second ? { kind: "join-curves", piece: first.id, other: second.id } : { kind: "close-curve", piece: first.id };
  },
});
