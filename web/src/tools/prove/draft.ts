import { drawn } from "../../model/tool";
import { directionOf, towards, towardsValues, typedShown } from "../shared/directions";
import { angle } from "../shared/fields";
import { proofTool } from "../shared/proof";

export const tool = proofTool({
  id: "prove-draft", name: "Draft", order: 12, section: "Walls",
  icon: drawn(["M7 20L5 5h14l-2 15z", "M12 5V2M10 4l2-2 2 2"]),
  also: "mould undercut taper injection",
  hint: "No wall steeper than so much draft along a direction, so that a mould comes off.",
  fields: { least: angle("At least", 1, { step: 1, min: 0, max: 89 }), ...towards("way", "Along", "+z") },
  shown: typedShown("way", () => true),
  mends: { tool: "taper", picks: "piece" },
  kind: "draft", ofBody: true,
  make(v) {
    const along = directionOf(v, "way");
    return along && { kind: "draft", along, least: v.least };
  },
  read: (p) => ({ least: p.least, ...towardsValues("way", p.along ?? [0, 0, 1]) }),
});
