import { drawn } from "../../model/tool";
import { chosenEdges, edgeFields, edgePointing, edgeShown, edgeValues } from "../shared/edges";
import { choice } from "../shared/fields";
import { followerTool, length } from "../shared/follower";

export const tool = followerTool({
  id: "fillet",
  name: "Fillet",
  order: 26,
  icon: drawn(["M4 4v16h16", "M4 9c0 6.500 4.500 11 11 11", "M11 13l3.500-3.500"]),
  also: "round edges blend radius smooth",
  hint: "Rounds edges, by what made them or by a click on one. Where the radius is too large, the finder tells which holds.",
  fields: {
    ...edgeFields,
    radius: length("Radius", 1, { step: 0.25, min: 0.01 }),
    varies: choice("Radius is", { even: "even", x: "varied along x", y: "varied along y", z: "varied along z" }),
    end: length("Radius at the far end", 2, { step: 0.25, min: 0.01 }),
  },
  shown: { ...edgeShown, end: (v) => v.varies !== "even" },
  moreWords: "Which…",
  pointing: edgePointing,
  below: "FilletFinder",
  kinds: ["fillet"],
  make(v, _piece, context) {
    const chosen = chosenEdges(v, context);
    const along = v.varies === "even" ? { end_radius: null, axis: "x" as const } : { end_radius: v.end, axis: v.varies };
    return chosen && { kind: "fillet", ...chosen, radius: v.radius, ...along };
  },
  read: (f) => ({
    ...edgeValues(f), radius: f.radius ?? 1, end: f.end_radius ?? f.radius ?? 1, varies: f.end_radius == null ? "even" : (f.axis ?? "z"),
  }),
});
