import { drawn } from "../../model/tool";
import { choice, count } from "../shared/fields";
import { curvesInHand, growthTool } from "../shared/growth";

export const tool = growthTool({
  id: "loft",
  name: "Loft",
  order: 213,
  icon: drawn(["M7 4h10", "M4 12c5 3 11 3 16 0", "M7 20h10", "M7 4c-1 3-3 5-3 8s2 5 3 8", "M17 4c1 3 3 5 3 8s-2 5-3 8"]),
  also: "through sections body skin outlines",
  hint: "A surface through the picked curves, in the order in which they lie; other counts and directions are made alike by itself, and told.",
  verb: "Let it grow",
  fields: {
    each: count("Faces between", 1, 1, { max: 64 }),
    count: count("Faces round", 0, 0, { max: 400, help: "0: as many as the curve with the most points" }),
    closed: choice("Goes", { no: "from first to last", yes: "round to the first again" }),
    mended: choice("Order and ways", { yes: "found by themselves", no: "as picked and drawn" }),
    ends: choice("Ends", { open: "open", flat: "flat" }),
  },
  shown: { ends: (v, context) => v.closed === "no" && curvesInHand(context).every((p) => p.curve?.closed) },
  kind: "loft",
  curves: [2, 200],
  make: (v, curves) => ({ kind: "loft", curves, each: v.each, count: v.count, closed: v.closed === "yes", ends: v.ends, mended: v.mended === "yes" }),
  read: (g) => ({ each: g.each, count: g.count, closed: g.closed ? "yes" : "no", ends: g.ends, mended: g.mended === false ? "no" : "yes" }),
});
