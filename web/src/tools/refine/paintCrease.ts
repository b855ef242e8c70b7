/** Creases painted along edges: all that the pointer passes in one stroke, as one step. */
import { drawn, strokes } from "../../model/tool";
import { parameter } from "../shared/fields";

export const tool = strokes({
  id: "paint-crease",
  name: "Paint creases",
  station: "refine",
  section: "Sharpness",
  order: 31,
  icon: drawn(["M3 20c4-1 6-4 8-8", "M11 12l3 3 6.500-8.500c1-1.500-1.500-3.700-2.800-2.500z", "M3 20c3 .6 6 .2 8-1.500"]),
  also: "sharp hard edge brush",
  hint: "Drag along edges: all that the pointer passes get this sharpness. 0 makes them smooth again.",
  fields: { sharpness: parameter("crease", "sharpness", { initial: 3, keep: true, slider: true }) },
  kind: "edge",
  done: (v, piece, ids) => ({ kind: "crease", piece, picked: { kind: "edge", ids }, sharpness: v.sharpness }),
});
