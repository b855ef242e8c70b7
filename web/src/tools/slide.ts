import { useBench } from "../live/bench";
import { viewFrame, viewPixel } from "../live/placing";
import type { Vec } from "../live/look";
import { SlideIcon } from "../theme/icons";
import type { Tool } from "./tool";

const single = () => useBench.getState().pickKind === "vertex";
const never = () => false;

export const tool: Tool = {
  id: "slide",
  name: "Slide",
  key: "s",
  shift: true,
  station: "refine",
  section: "Along the cage",
  order: 40,
  Icon: SlideIcon,
  hint: "Drag the bead: picked edges go to one side along the cage. A picked vertex follows the pointer along its best edge.",
  needs: "selection",
  takes: ["edge", "vertex"],
  verb: "Slide",
  fields: [
    { name: "by", label: "By", unit: "", initial: 0, step: 1, keep: true, options: ["share of the way", "length"], when: () => !single() },
    { name: "share", label: "Share", unit: "%", initial: 0, step: 5, min: -99, max: 99, slider: true, when: (v) => v.by === 0 && !single() },
    { name: "distance", label: "Distance", unit: "mm", initial: 0, step: 0.5, when: (v) => v.by === 1 || single() },
    { name: "x", label: "Towards x", unit: "", initial: 0, step: 1, when: never },
    { name: "y", label: "Towards y", unit: "", initial: 0, step: 1, when: never },
    { name: "z", label: "Towards z", unit: "", initial: 0, step: 1, when: never },
  ],
  command: (v, target) => {
    if (!target) return null;
    if (target.picked.kind === "vertex") {
      // Without a drag to tell where to: upwards on the screen.
      const towards = (v.x || v.y || v.z ? [v.x, v.y, v.z] : viewFrame.current[1]) as Vec;
      return v.distance ? { kind: "slide", ...target, distance: v.distance, towards } : null;
    }
    if (v.by === 1) return v.distance ? { kind: "slide", ...target, distance: v.distance } : null;
    return v.share ? { kind: "slide", ...target, share: v.share / 100 } : null;
  },
  parts: [{ kind: "bead" }],
  dragged: ({ vector }, _, start) => {
    if (single()) {
      const [right, up] = viewFrame.current;
      const [x, y, z] = [0, 1, 2].map((i) => right[i] * vector[0] + up[i] * vector[1]);
      return { values: { ...start, x, y, z, distance: Math.hypot(x, y, z) }, field: "distance" };
    }
    const along = Math.abs(vector[0]) > Math.abs(vector[1]) ? vector[0] : vector[1];
    if (start.by === 1) return { values: { ...start, distance: start.distance + along }, field: "distance" };
    // A share has no length of its own on the screen: two pixels are one per cent.
    const share = start.share + along / viewPixel.current / 2;
    return { values: { ...start, share: Math.max(-99, Math.min(99, share)) }, field: "share" };
  },
};
