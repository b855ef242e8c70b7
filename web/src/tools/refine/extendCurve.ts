import { drawn, verb } from "../../model/tool";
import { parameter } from "../shared/fields";
import { curvesInHand } from "../shared/growth";

export const tool = verb({
  id: "extend-curve",
  name: "Extend curve",
  station: "refine",
  section: "Curves",
  order: 57.5,
  icon: drawn(["M3 18c2-6 5-8 9-8", "M12 10h2M16 10h2M20 10h1"], [[12, 10]]),
  also: "longer shorter lengthen cut end tail",
  hint: "An open curve made longer at one end, straight on or bending on; below 0 it is cut shorter.",
  needs: "piece",
  verb: "Extend",
  fields: { by: parameter("extend-curve", "by"), end: parameter("extend-curve", "end"), onwards: parameter("extend-curve", "onwards") },
  shown: { onwards: (v) => Number(v.by) > 0 },
  begins: { kind: "extend-curve" },
  missing: (context) => (curvesInHand(context).some((p) => p.curve && !p.curve.closed) ? null : "Take an open curve in hand first."),
  eager: true,
  then: "move",
  command(v, context) {
    const [first] = curvesInHand(context);
    return first && v.by ? { kind: "extend-curve", piece: first.id, by: v.by, end: v.end, onwards: v.onwards } : null;
  },
});
