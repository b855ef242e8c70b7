import { FilletFinder } from "../../panels/cards/FilletFinder";
import { FilletIcon } from "../../theme/icons";
import { chosenEdges, edgeFields, edgePointing, edgeValues } from "./edges";
import { followerTool, length } from "./follower";

const axes = ["x", "y", "z"] as const;

export const tool = followerTool(
  {
    id: "fillet",
    name: "Fillet",
    order: 26,
    Icon: FilletIcon,
    hint: "Rounds edges, by what made them or by a click on one. Where the radius is too large, the finder tells which holds.",
    fields: [
      ...edgeFields,
      length("radius", "Radius", 1, { step: 0.25, min: 0.01 }),
      { name: "varies", label: "Radius is", unit: "", initial: 0, step: 1, options: ["even", "varied along x", "varied along y", "varied along z"] },
      length("end", "Radius at the far end", 2, { step: 0.25, min: 0.01, when: (v) => v.varies > 0 }),
    ],
    moreWords: "Which…",
    pointing: edgePointing,
    Below: FilletFinder,
  },
  {
    kinds: ["fillet"],
    make(v, piece) {
      const chosen = chosenEdges(v, piece);
      if (!chosen) return null;
      return { kind: "fillet", ...chosen, radius: v.radius, end_radius: v.varies ? v.end : null, axis: axes[Math.max(v.varies - 1, 0)] };
    },
    read(f) {
      return {
        ...edgeValues(f), radius: f.radius ?? 1, end: f.end_radius ?? f.radius ?? 1,
        varies: f.end_radius == null ? 0 : 1 + axes.indexOf(f.axis ?? "z"),
      };
    },
  },
);
