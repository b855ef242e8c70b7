import { drawn } from "../../model/tool";
import { length } from "../shared/fields";
import { curvesInHand, facedInHand, growthTool } from "../shared/growth";

export const tool = growthTool({
  id: "lay-curve",
  name: "Lay onto",
  section: "Curves",
  order: 204,
  icon: drawn(["M3 17c5-5 13-5 18 0", "M6 5c4 3 8-1 12 2", "M8 8v5M12 7v5M16 8v5"]),
  also: "project curve onto surface drape",
  hint: "A curve where it lies nearest on another piece; it follows both. Pick the curve and the piece (W, Shift).",
  verb: "Lay",
  fields: { above: length("Above it", 0, { step: 0.1 }) },
  kind: "laid",
  curves: [2, 2],
  from: (context) => [...curvesInHand(context).slice(0, 1), ...facedInHand(context).slice(0, 1)],
  needed: "Pick a curve and a piece with faces first (W, then Shift).",
  make: (v, [curve, onto]) => ({ kind: "laid", curve, onto, above: v.above }),
  read: (g) => ({ above: g.above }),
});
