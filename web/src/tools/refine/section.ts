import { drawn } from "../../model/tool";
import { directionOf, towards, towardsValues, typedShown } from "../shared/directions";
import { count, length } from "../shared/fields";
import { facedInHand, growthTool } from "../shared/growth";
import { times, type Vec } from "../../model/vec";
import { grip } from "../shared/placing";

export const tool = growthTool({
  id: "take-section",
  name: "Section as curve",
  station: "refine",
  section: "Curves",
  order: 55.5,
  icon: drawn(["M4 9c3-5 13-5 16 0v7c-3 4-13 4-16 0z", "M3 13c5 3 13 3 18 0"]),
  also: "cut plane contour slice line",
  hint: "The line in which a plane cuts the surface; it follows the form. Loft through several of them, or write them as files.",
  verb: "Take",
  fields: {
    ...towards("axis", "Across", "+z"),
    at: length("At", 0),
    count: count("Points", 12, 3, { max: 400 }),
    which: count("Number", 1, 1, { max: 99, more: true }),
  },
  shown: typedShown("axis"),
  moreWords: "Of several…",
  grips(v) {
    const along: Vec = directionOf(v, "axis") ?? [0, 0, 1];
    return [grip("at", times(along, v.at), along)];
  },
  kind: "section",
  curves: [1, 1],
  from: facedInHand,
  needed: "Take a piece with faces in hand first.",
  make(v, [source]) {
    const normal: Vec = directionOf(v, "axis") ?? [0, 0, 1];
    return { kind: "section", source, point: times(normal, v.at), normal, count: v.count, which: v.which - 1 };
  },
  read(g) {
    const normal: Vec = g.normal ?? [0, 0, 1];
    const at = (g.point ?? [0, 0, 0]).reduce((sum, x, k) => sum + x * normal[k], 0);
    return { ...towardsValues("axis", normal), at, count: g.count, which: (g.which ?? 0) + 1 };
  },
});
