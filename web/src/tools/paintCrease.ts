/** Creases painted along edges: all that the pointer passes in one stroke, as one step. */
import { useBench } from "../live/bench";
import { PaintIcon } from "../theme/icons";
import type { Tool } from "./tool";

export const tool: Tool = {
  id: "paint-crease",
  name: "Paint creases",
  station: "refine",
  section: "Sharpness",
  order: 31,
  Icon: PaintIcon,
  hint: "Drag along edges: all that the pointer passes get this sharpness. 0 makes them smooth again.",
  needs: "nothing",
  verb: "",
  fields: [
    { name: "sharpness", label: "Sharpness", unit: "", initial: 3, step: 0.5, min: 0, max: 10, keep: true, slider: true },
  ],
  paints: {
    kind: "edge",
    done(piece, ids) {
      useBench.getState().give({ kind: "crease", piece, picked: { kind: "edge", ids }, sharpness: useBench.getState().values.sharpness });
    },
  },
};
