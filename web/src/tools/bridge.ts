import { BridgeIcon } from "../theme/icons";
import { bothEnds } from "./ends";
import type { Tool } from "./tool";

export const tool: Tool = {
  id: "bridge",
  name: "Bridge",
  key: "b",
  shift: true,
  station: "shape",
  section: "Join",
  order: 50,
  Icon: BridgeIcon,
  hint: "Two groups of faces, or two chains of open edges. The best pairing is shown; shift it by one where another is meant.",
  needs: "selection",
  takes: ["face", "edge"],
  eager: true,
  ends: true,
  verb: "Bridge",
  fields: [
    { name: "segments", label: "Segments", unit: "", initial: 4, step: 1, min: 1, max: 64, whole: true, keep: true },
    { name: "strength", label: "Tangents", unit: "%", initial: 100, step: 10, min: 0, max: 1000, keep: true },
    { name: "shift", label: "Shift", unit: "", initial: 0, step: 1, whole: true },
    { name: "loops", label: "Missing loops", unit: "", initial: 0, step: 1, options: ["are refused", "are added"] },
  ],
  command: (v, target) => {
    const ends = bothEnds(target);
    return ends && { kind: "bridge", ...ends, segments: v.segments, strength: v.strength / 100, shift: v.shift, add_loops: v.loops === 1 };
  },
};
