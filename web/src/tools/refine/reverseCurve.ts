import { drawn, verb } from "../../model/tool";
import { curvesInHand } from "../shared/growth";

export const tool = verb({
  id: "reverse-curve",
  name: "Reverse curve",
  station: "refine",
  section: "Curves",
  order: 58,
  icon: drawn(["M4 15c4-7 10-7 16-2", "M20 8v5h-5", "M4 19l0-4 4 0"]),
  also: "direction flip other way",
  hint: "It runs the other way: what turns or counts along it does, too.",
  needs: "piece",
  verb: "Reverse",
  fields: {},
  missing: (context) => (curvesInHand(context).length ? null : "Take a curve in hand first."),
  eager: true,
  then: "move",
  command(_, context) {
    const [first] = curvesInHand(context);
    return first ? { kind: "reverse-curve", piece: first.id } : null;
  },
});
