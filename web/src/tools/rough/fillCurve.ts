import { drawn } from "../../model/tool";
import { count } from "../shared/fields";
import { growthTool } from "../shared/growth";

export const tool = growthTool({
  id: "fill-curve",
  name: "Fill curve",
  order: 216,
  icon: drawn(["M5 6c5-4 13-2 14 4s-3 10-9 10S0 10 5 6z", "M4 12c5-1 10-1 15-1", "M11 4c1 5 1 11 0 16"]),
  also: "patch cap disc surface within closed outline",
  hint: "Quads within a closed curve; their border is the curve. It looks to where the curve runs counter-clockwise.",
  verb: "Let it grow",
  fields: {
    around: count("Faces around", 12, 4, { max: 400 }),
    rings: count("Rings", 1, 1, { max: 100 }),
  },
  begins: { kind: "grow" },
  kind: "filled",
  curves: [1, 1],
  make: (v, [source]) => ({ kind: "filled", source, around: v.around, rings: v.rings }),
  read: (g) => ({ around: g.around, rings: g.rings }),
});
