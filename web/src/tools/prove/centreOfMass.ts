import { drawn } from "../../model/tool";
import { choice, length } from "../shared/fields";
import { proofTool } from "../shared/proof";

export const tool = proofTool({
  id: "prove-centre-of-mass", name: "Centre of mass", order: 24, section: "Sizes",
  icon: drawn(["M12 3v18M3 12h18", "M12 7a5 5 0 100 10 5 5 0 000-10z"]),
  also: "balance gravity weight middle",
  hint: "Where the centre of mass lies along an axis, of one even material.",
  fields: {
    axis: choice("Along", { z: "z", x: "x", y: "y" }),
    least: length("From", 0, { step: 1 }),
    most: length("To", 10, { step: 1 }),
  },
  mends: { tool: "taper", picks: "piece" },
  kind: "centre-of-mass", ofBody: true,
  make: (v) => ({ kind: "centre-of-mass", axis: v.axis, least: v.least, most: v.most }),
  read: (p) => ({ axis: p.axis, least: p.least, most: p.most }),
});
