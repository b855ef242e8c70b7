import { drawn } from "../../model/tool";
import { length } from "../shared/fields";
import { proofTool } from "../shared/proof";

export const tool = proofTool({
  id: "prove-bore", name: "Bore", order: 22, section: "Sizes",
  icon: drawn(["M12 4c4.500 0 8 3.500 8 8s-3.500 8-8 8-8-3.500-8-8 3.500-8 8-8z", "M8 12h8"]),
  also: "ring size hole inner diameter",
  hint: "The widest cylinder through it: a length, or a size such as US 7, ISO 54, UK N, JP 14.",
  fields: { diameter: length("Bore", 17.3, { step: 0.1, above: 0 }), tolerance: length("Give or take", 0.05, { step: 0.01, above: 0 }) },
  mends: { tool: "fit-bore", picks: "piece" },
  kind: "bore", ofBody: true,
  make: (v) => ({ kind: "bore", diameter: v.diameter, tolerance: v.tolerance }),
  read: (p) => ({ diameter: p.diameter, tolerance: p.tolerance }),
});
