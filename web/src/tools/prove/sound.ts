import { drawn } from "../../model/tool";
import { proofTool } from "../shared/proof";

export const tool = proofTool({
  id: "prove-sound", name: "Sound", order: 11, section: "Walls",
  icon: drawn(["M12 4c5 0 8 3.500 8 8s-3 8-8 8-8-3.500-8-8 3-8 8-8z", "M8.500 12l2.500 2.500 4.500-5"]),
  also: "watertight closed crossing manifold",
  hint: "Closed, and nowhere running through itself.",
  fields: {},
  // An open rim is filled; what runs through itself is moved out of the way.
  mends: ({ edges }) => (edges?.length ? { tool: "fill", picks: "edge" } : { tool: "move", picks: "face" }),
  kind: "sound",
  make: () => ({ kind: "sound" }),
  read: () => ({}),
});
