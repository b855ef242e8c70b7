import { drawn } from "../../model/tool";
import { angle, choice, length } from "../shared/fields";
import { proofTool } from "../shared/proof";

export const tool = proofTool({
  id: "prove-seam", name: "Seam even", order: 31, section: "Distances",
  icon: drawn(["M12 3v18", "M4 15c3-4 5-5 8-5s5 1 8 5", "M9 20h6"]),
  also: "mirror highlight smooth tangent half join crease",
  hint: "A form and its mirror image meet in the plane without an angle, so that a highlight runs across. Of a half its border counts.",
  fields: { axis: choice("Across", { x: "x", y: "y", z: "z" }), at: length("At", 0), most: angle("Up to", 1, { step: 0.5, above: 0, max: 180 }) },
  mends: { tool: "mirror", picks: "piece" },
  kind: "seam",
  make: (v) => ({ kind: "seam", axis: v.axis, at: v.at, most: v.most }),
  read: (p) => ({ axis: p.axis, at: p.at, most: p.most }),
});
