import { thickenDrawing } from "../../model/drawings";
import { verb } from "../../model/tool";
import { parameter } from "../shared/fields";

export const tool = verb({
  id: "thicken",
  name: "Thicken",
  key: "Shift T",
  station: "shape",
  section: "Build",
  order: 44,
  icon: thickenDrawing,
  also: "wall thickness offset shell solid",
  hint: "Gives an open piece a second wall. Faces where the walls cross, or where they cannot be even, are marked before it is applied.",
  needs: "piece",
  eager: true,
  verb: "Thicken",
  fields: {
    distance: parameter("thicken", "distance", { initial: 2, keep: true, min: 0.01 }),
    side: parameter("thicken", "side", { keep: true }),
    rims: parameter("thicken", "crease_rims", { keep: true }),
  },
  command: (v, { piece }) =>
    piece && v.distance > 0
      ? {
          kind: "thicken", piece: piece.id, others: [], picked: { kind: "piece", ids: [0] }, distance: v.distance, side: v.side,
          crease_rims: v.rims === "yes",
        }
      : null,
  parts: [{ kind: "bead" }],
  dragged: ({ vector }, start) => ({ values: { distance: Math.max(0.01, start.distance + vector[0]) }, field: "distance" }),
});
