import { useBench } from "../live/bench";
import { AroundIcon } from "../theme/icons";
import { axesOf } from "./placing";
import type { Tool } from "./tool";

const ways = ["open", "follow"] as const;

export const tool: Tool = {
  id: "around",
  name: "Radial",
  key: "r",
  shift: true,
  station: "shape",
  section: "Both sides",
  order: 82,
  Icon: AroundIcon,
  hint: "So many sectors about an axis, through the pivot where one is set. Borders that meet are joined.",
  needs: "piece",
  eager: true,
  verb: "Repeat",
  places: true,
  fields: [
    { name: "way", label: "Begin from", unit: "", initial: 0, step: 1, keep: true, options: ["one sector", "a whole, all follow one"] },
    { name: "axis", label: "About", unit: "", initial: 2, step: 1, keep: true, options: ["x", "y", "z"] },
    { name: "sectors", label: "Sectors", unit: "", initial: 6, step: 1, min: 2, max: 128, whole: true, keep: true },
    { name: "mirrored", label: "Each sector", unit: "", initial: 0, step: 1, keep: true, options: ["plain", "mirrored in itself"] },
    { name: "tolerance", label: "Joined within", unit: "mm", initial: 0.5, step: 0.1, min: 0, keep: true, when: (v) => v.way === 0 },
  ],
  command: (v, _, placing) => {
    const { piece } = useBench.getState();
    if (!piece) return null;
    const frame = axesOf(placing);
    return {
      kind: "repeat-around", piece, way: ways[v.way], point: placing.pivot ?? [0, 0, 0], along: frame[v.axis], sectors: v.sectors,
      mirrored: v.mirrored === 1, towards: frame[(v.axis + 1) % 3], tolerance: v.tolerance,
    };
  },
};
