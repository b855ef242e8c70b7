import { drawn } from "../../model/tool";
import { choice, length } from "../shared/fields";
import { proofTool } from "../shared/proof";

export const tool = proofTool({
  id: "prove-symmetric", name: "Symmetry", order: 32, section: "Distances",
  icon: drawn(["M12 3v18", "M9 7l-5 5 5 5M15 7l5 5-5 5"]),
  also: "mirror even sides alike",
  hint: "Both sides of a plane alike, within a tolerance.",
  fields: { axis: choice("Across", { x: "x", y: "y", z: "z" }), at: length("At", 0), tolerance: length("Within", 0.05, { step: 0.01, above: 0 }) },
  mends: { tool: "mirror", picks: "piece" },
  kind: "symmetric", ofBody: true,
  make: (v) => ({ kind: "symmetric", axis: v.axis, at: v.at, tolerance: v.tolerance }),
  read: (p) => ({ axis: p.axis, at: p.at, tolerance: p.tolerance }),
});
