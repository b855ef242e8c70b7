import { ChamferIcon } from "../theme/icons";
import { useBench } from "../live/bench";
import { count } from "./forms";
import type { Tool } from "./tool";

const ofEdges = () => useBench.getState().pickKind === "edge";

export const tool: Tool = {
  id: "chamfer",
  name: "Chamfer",
  key: "e",
  shift: true,
  station: "refine",
  section: "Cut",
  order: 22,
  Icon: ChamferIcon,
  hint: "The distance is measured on the faces beside the edge. Drag the bead. Picked vertices are cut off.",
  needs: "selection",
  takes: ["edge", "vertex"],
  eager: true,
  verb: "Chamfer",
  fields: [
    { name: "distance", label: "Distance", unit: "mm", initial: 2, step: 0.5, min: 0, keep: true },
    { ...count("segments", "Faces across", 1), max: 16, keep: true, when: ofEdges },
    { name: "round", label: "Section", unit: "", initial: 0, step: 1, keep: true, options: ["flat", "round"], when: ofEdges },
    { name: "fall", label: "Corners and ends", unit: "", initial: 0, step: 1, keep: true, options: ["of quads", "as they fall"], when: ofEdges },
    { name: "creases", label: "Their crease", unit: "", initial: 0, step: 1, keep: true, options: ["goes", "stays on both sides"], when: ofEdges },
  ],
  command: (v, target) =>
    target && v.distance > 0
      ? {
          kind: "chamfer", ...target, distance: v.distance, segments: v.segments, profile: v.round ? "round" : "flat",
          quads: v.fall === 0, keep_creases: v.creases === 1,
        }
      : null,
  parts: [{ kind: "bead" }],
  dragged: ({ vector }, _, start) => ({ values: { ...start, distance: Math.max(0, start.distance + vector[0]) }, field: "distance" }),
};
