import { chamferDrawing } from "../../model/drawings";
import { chosenEdges, edgeFields, edgePointing, edgeShown, edgeValues } from "../shared/edges";
import { followerTool, length } from "../shared/follower";

export const tool = followerTool({
  id: "cut-edge",
  name: "Chamfer edges",
  order: 28,
  icon: chamferDrawing,
  hint: "Cuts edges off flat, as far on both sides: by what made them, or by a click on one.",
  fields: { ...edgeFields, distance: length("Distance", 1, { step: 0.25, min: 0.01 }) },
  shown: edgeShown,
  moreWords: "Which…",
  pointing: edgePointing,
  below: "ChosenEdges",
  kinds: ["cut-edge"],
  make(v, _piece, context) {
    const chosen = chosenEdges(v, context);
    return chosen ? { kind: "cut-edge", ...chosen, distance: v.distance } : null;
  },
  read: (f) => ({ ...edgeValues(f), distance: f.distance ?? 1 }),
});
