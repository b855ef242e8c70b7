import { drawn } from "../../model/tool";
import { count, length } from "../shared/fields";
import { growthTool } from "../shared/growth";

export const tool = growthTool({
  id: "skin",
  name: "Skin",
  order: 212,
  icon: drawn(["M3 7c5-4 13-4 18 0", "M3 12c5-4 13-4 18 0", "M3 17c5-4 13-4 18 0", "M7 4.500c1 4 1 8 0 11", "M17 4.500c-1 4-1 8 0 11"]),
  also: "net network surface patch over curves Gordon",
  hint: "Over curves that cross, some one way, some the other: pick them all (W, Shift). Where two miss each other it says where.",
  verb: "Let it grow",
  fields: {
    each: count("Faces between", 2, 1, { max: 32 }),
    tolerance: length("Drawn together within", 0.1, { step: 0.05, min: 0 }),
  },
  kind: "skin",
  curves: [3, 100],
  make: (v, curves) => ({ kind: "skin", curves, each: v.each, tolerance: v.tolerance }),
  read: (g) => ({ each: g.each, tolerance: g.tolerance }),
});
