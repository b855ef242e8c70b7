import { useBench } from "../live/bench";
import { ThickenIcon } from "../theme/icons";
import type { Tool } from "./tool";

const sides = ["in", "out", "both"] as const;

export const tool: Tool = {
  id: "thicken",
  name: "Thicken",
  key: "t",
  shift: true,
  station: "shape",
  section: "Build",
  order: 44,
  Icon: ThickenIcon,
  hint: "Gives an open piece a second wall. Faces where the walls cross, or where they cannot be even, are marked before it is applied.",
  needs: "piece",
  eager: true,
  verb: "Thicken",
  fields: [
    { name: "distance", label: "Thickness", unit: "mm", initial: 2, step: 0.25, min: 0.01, keep: true },
    { name: "side", label: "Second wall", unit: "", initial: 0, step: 1, keep: true, options: ["inside", "outside", "half each"] },
    { name: "crease", label: "Rims", unit: "", initial: 0, step: 1, keep: true, options: ["creased", "rounded"] },
  ],
  command: (v) => {
    const { piece } = useBench.getState();
    if (!piece || !(v.distance > 0)) return null;
    return { kind: "thicken", piece, others: [], picked: { kind: "piece", ids: [0] }, distance: v.distance, side: sides[v.side], crease_rims: v.crease === 0 };
  },
  parts: [{ kind: "bead" }],
  dragged: ({ vector }, _, start) => ({ values: { distance: Math.max(0.01, start.distance + vector[0]) }, field: "distance" }),
};
