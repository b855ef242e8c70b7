import { drawn } from "../../model/tool";
import { directionOf, towards, towardsValues, typedShown } from "../shared/directions";
import { angle } from "../shared/fields";
import { proofTool } from "../shared/proof";

export const tool = proofTool({
  id: "prove-overhang", name: "Overhang", order: 13, section: "Walls",
  icon: drawn(["M5 20V8h14", "M19 8c0 4-4 8-10 12"]),
  also: "print support slope bridge",
  hint: "Nothing hangs over by more, as it stands along a direction; what lies on the floor does not count.",
  fields: { most: angle("At most", 45, { step: 5, min: 1, max: 89 }), ...towards("way", "Along", "+z") },
  shown: typedShown("way", () => true),
  mends: { tool: "turn", picks: "piece" },
  kind: "overhang", ofBody: true,
  make(v) {
    const along = directionOf(v, "way");
    return along && { kind: "overhang", along, most: v.most };
  },
  read: (p) => ({ most: p.most, ...towardsValues("way", p.along ?? [0, 0, 1]) }),
});
