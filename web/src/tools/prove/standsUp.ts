import { drawn } from "../../model/tool";
import { directionOf, towards, towardsValues, typedShown } from "../shared/directions";
import { angle } from "../shared/fields";
import { proofTool } from "../shared/proof";

export const tool = proofTool({
  id: "prove-stands-up", name: "Stands up", order: 25, section: "Sizes",
  icon: drawn(["M4 20h16", "M9 20L6 7l9-3 3 16", "M19 9c1.500 1 2 3 1.500 5"]),
  also: "tip over fall stable tilt balance",
  hint: "Put down on what touches the ground it can be tilted so far, and comes back; of one even material.",
  fields: { least: angle("Tilted by", 10, { step: 1, min: 0.1, max: 89 }), ...towards("way", "Up", "+z") },
  shown: typedShown("way", () => true),
  // A wider foot, at the side to which it tips.
  mends: { tool: "push", picks: "face" },
  kind: "stands-up", ofBody: true,
  make(v) {
    const up = directionOf(v, "way");
    return up && { kind: "stands-up", up, least: v.least };
  },
  read: (p) => ({ least: p.least, ...towardsValues("way", p.up ?? [0, 0, 1]) }),
});
