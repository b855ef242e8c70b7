import { drawn } from "../../model/tool";
import { choice, length } from "../shared/fields";
import { proofTool } from "../shared/proof";

export const tool = proofTool({
  id: "prove-bends", name: "Bends", order: 14, section: "Walls",
  icon: drawn(["M4 19c0-8 7-15 15-15", "M19 19l-8-8", "M11 15v-4h4"]),
  also: "curvature radius smallest tight cutter fillet",
  hint: "Nowhere a smaller radius: outside where the form bulges, inside where it is hollow. Along sharp edges it is 0.",
  fields: {
    least: length("Radius at least", 1, { step: 0.1, above: 0 }),
    side: choice("Where", { both: "outside and inside", outside: "outside", inside: "inside" }),
  },
  mends: { tool: "relax", picks: "face", follower: "fillet" },
  kind: "bends",
  make: (v) => ({ kind: "bends", least: v.least, side: v.side }),
  read: (p) => ({ least: p.least, side: p.side }),
});
