import { chamferDrawing } from "../../model/drawings";
import type { Context } from "../../model/context";
import { verb } from "../../model/tool";
import { parameter } from "../shared/fields";

const ofEdges = (_: unknown, { pickKind }: Context) => pickKind === "edge";

export const tool = verb({
  id: "chamfer",
  name: "Chamfer",
  key: "Shift E",
  station: "refine",
  section: "Cut",
  order: 22,
  icon: chamferDrawing,
  also: "bevel round edges cut corner",
  hint: "The distance is measured on the faces beside the edge. Drag the bead. Picked vertices are cut off.",
  needs: "selection",
  takes: ["edge", "vertex"],
  eager: true,
  verb: "Chamfer",
  fields: {
    distance: parameter("chamfer", "distance", { initial: 2, above: undefined, min: 0, keep: true }),
    segments: parameter("chamfer", "segments", { keep: true }),
    profile: parameter("chamfer", "profile", { keep: true }),
    quads: parameter("chamfer", "quads", { keep: true }),
    creases: parameter("chamfer", "keep_creases", { keep: true }),
  },
  shown: { segments: ofEdges, profile: ofEdges, quads: ofEdges, creases: ofEdges },
  command: (v, { target }) =>
    target && v.distance > 0
      ? {
          kind: "chamfer", ...target, distance: v.distance, segments: v.segments, profile: v.profile, quads: v.quads === "yes",
          keep_creases: v.creases === "yes",
        }
      : null,
  parts: [{ kind: "bead" }],
  dragged: ({ vector }, start) => ({ values: { ...start, distance: Math.max(0, start.distance + vector[0]) }, field: "distance" }),
});
