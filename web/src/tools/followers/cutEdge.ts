import { edgesOf } from "../../live/followers";
import { ChamferIcon } from "../../theme/icons";
import { edgeField, edgeIndex, followerTool, length } from "./follower";

export const tool = followerTool(
  {
    id: "cut-edge",
    name: "Chamfer edges",
    order: 28,
    Icon: ChamferIcon,
    hint: "Cuts the edges between two makers off flat, as far on both sides.",
    fields: [
      edgeField,
      length("distance", "Distance", 1, { step: 0.25, min: 0.01 }),
    ],
  },
  {
    kinds: ["cut-edge"],
    make(v, piece) {
      const between = edgesOf(piece)[v.edge];
      return between ? { kind: "cut-edge", between, distance: v.distance } : null;
    },
    read: (f) => ({ edge: edgeIndex(f.between), distance: f.distance ?? 1 }),
  },
);
