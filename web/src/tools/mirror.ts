import { useBench } from "../live/bench";
import { MirrorIcon } from "../theme/icons";
import type { Vec } from "../live/look";
import { axesOf } from "./placing";
import type { Tool } from "./tool";

const ways = ["cut", "follow", "open", "second"] as const;

export const tool: Tool = {
  id: "mirror",
  name: "Mirror",
  key: "m",
  shift: true,
  station: "shape",
  section: "Both sides",
  order: 80,
  Icon: MirrorIcon,
  hint: "Model one side, get the other. A second mirror square to the first makes quarters. The bead moves the plane.",
  needs: "piece",
  eager: true,
  verb: "Mirror",
  places: true,
  fields: [
    {
      name: "way", label: "Begin from", unit: "", initial: 0, step: 1, keep: true,
      options: ["a whole, cut at the plane", "a whole, the other side follows", "an open half", "a second piece that follows"],
    },
    { name: "axis", label: "Plane", unit: "", initial: 0, step: 1, keep: true, options: ["across x", "across y", "across z"] },
    { name: "at", label: "At", unit: "mm", initial: 0, step: 1 },
    { name: "keep", label: "Keep", unit: "", initial: 0, step: 1, keep: true, options: ["the + side", "the − side"], when: (v) => v.way < 2 },
    { name: "tolerance", label: "Drawn in within", unit: "mm", initial: 0.5, step: 0.1, min: 0, keep: true, when: (v) => v.way === 0 || v.way === 2 },
  ],
  command: (v, _, placing) => {
    const { piece } = useBench.getState();
    if (!piece) return null;
    const normal = axesOf(placing)[v.axis];
    // Through the pivot where one is set, and from there so far along the axis.
    const point = normal.map((x, k) => x * v.at + (placing.pivot?.[k] ?? 0)) as Vec;
    return { kind: "mirror", piece, way: ways[v.way], point, normal, keep: v.keep ? "negative" : "positive", tolerance: v.tolerance };
  },
  grips: (v) => {
    const along: Vec = [0, 0, 0];
    along[v.axis] = 1;
    return [{ kind: "grip", field: "at", at: along.map((x) => x * v.at) as Vec, along, gain: 1 }];
  },
};
