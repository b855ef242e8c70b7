import { drawn } from "../../model/tool";
import { choice, length } from "../shared/fields";
import { proofTool } from "../shared/proof";

export const tool = proofTool({
  id: "prove-size", name: "Size", order: 20, section: "Sizes",
  icon: drawn(["M4 8v8M20 8v8", "M4 12h16", "M7 10l-3 2 3 2M17 10l3 2-3 2"]),
  also: "dimension tolerance length extent",
  hint: "The surface's extent along an axis, give or take a tolerance.",
  fields: {
    axis: choice("Along", { x: "x", y: "y", z: "z" }),
    size: length("Size", 50, { above: 0 }),
    tolerance: length("Give or take", 0.1, { step: 0.05, above: 0 }),
  },
  mends: { tool: "size", picks: "piece" },
  kind: "size", ofBody: true,
  make: (v) => ({ kind: "size", axis: v.axis, size: v.size, tolerance: v.tolerance }),
  read: (p) => ({ axis: p.axis, size: p.size, tolerance: p.tolerance }),
});
