import { drawn, verb } from "../../model/tool";
import { parameter } from "../shared/fields";

export const tool = verb({
  id: "inset",
  name: "Inset",
  key: "Shift I",
  station: "shape",
  section: "Build",
  order: 42,
  icon: drawn(["M3 5h18v14H3z", "M8 9.500h8v5H8z", "M3 5l5 4.500M21 5l-5 4.500M3 19l5-4.500M21 19l-5-4.500"]),
  also: "offset border frame",
  hint: "Drag the bead for the width, the arrow for the depth.",
  needs: "selection",
  takes: ["face", "piece"],
  eager: true,
  verb: "Inset",
  fields: {
    width: parameter("inset", "width", { initial: 2, keep: true }),
    depth: parameter("inset", "depth", { keep: true }),
    apart: parameter("inset", "apart", { keep: true }),
  },
  command: (v, { target }) =>
    target && v.width > 0 ? { kind: "inset", ...target, width: v.width, depth: v.depth, apart: v.apart === "yes" } : null,
  parts: [{ kind: "normal" }, { kind: "bead" }],
  dragged: ({ part, amount, vector }, start) =>
    part.kind === "bead"
      ? { values: { width: Math.max(0, start.width + vector[0]) }, field: "width" }
      : { values: { depth: start.depth + amount }, field: "depth" },
});
