import { InsetIcon } from "../theme/icons";
import type { Tool, Values } from "./tool";

export const tool: Tool = {
  id: "inset",
  name: "Inset",
  key: "i",
  shift: true,
  station: "shape",
  section: "Build",
  order: 42,
  Icon: InsetIcon,
  hint: "Drag the bead for the width, the arrow for the depth.",
  needs: "selection",
  takes: ["face", "piece"],
  eager: true,
  verb: "Inset",
  fields: [
    { name: "width", label: "Width", unit: "mm", initial: 2, step: 0.5, min: 0, keep: true },
    { name: "depth", label: "Depth", unit: "mm", initial: 0, step: 0.5, keep: true },
    { name: "apart", label: "Faces", unit: "", initial: 0, step: 1, keep: true, options: ["as one region", "each by itself"] },
  ],
  command: (v, target) =>
    target && v.width > 0 ? { kind: "inset", ...target, width: v.width, depth: v.depth, apart: v.apart === 1 } : null,
  parts: [{ kind: "normal" }, { kind: "bead" }],
  dragged: ({ part, amount, vector }, _, start) =>
    part.kind === "bead"
      ? { values: { width: Math.max(0, start.width + vector[0]) } as Values, field: "width" }
      : { values: { depth: start.depth + amount } as Values, field: "depth" },
};
