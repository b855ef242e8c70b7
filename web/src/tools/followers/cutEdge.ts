import { ChosenEdges } from "../../panels/cards/ChosenEdges";
import { ChamferIcon } from "../../theme/icons";
import { chosenEdges, edgeFields, edgePointing, edgeValues } from "./edges";
import { followerTool, length } from "./follower";

export const tool = followerTool(
  {
    id: "cut-edge",
    name: "Chamfer edges",
    order: 28,
    Icon: ChamferIcon,
    hint: "Cuts edges off flat, as far on both sides: by what made them, or by a click on one.",
    fields: [
      ...edgeFields,
      length("distance", "Distance", 1, { step: 0.25, min: 0.01 }),
    ],
    moreWords: "Which…",
    pointing: edgePointing,
    Below: ChosenEdges,
  },
  {
    kinds: ["cut-edge"],
    make(v, piece) {
      const chosen = chosenEdges(v, piece);
      return chosen ? { kind: "cut-edge", ...chosen, distance: v.distance } : null;
    },
    read: (f) => ({ ...edgeValues(f), distance: f.distance ?? 1 }),
  },
);
