import { useBench } from "../live/bench";
import { ExtrudeIcon } from "../theme/icons";
import { alongAxes, onAxes } from "./placing";
import { axes, axisNames, type Tool } from "./tool";

const along = (name: string) => ({ name, label: `Along ${name}`, unit: "mm" as const, initial: 0, step: 1, more: true });
const ways = ["even", "mean", "each", "point"] as const;

export const tool: Tool = {
  id: "extrude",
  name: "Extrude",
  key: "x",
  station: "shape",
  section: "Build",
  order: 40,
  Icon: ExtrudeIcon,
  hint: "Drag the rose arrow, or another arrow for a direction of its own. Open edges grow strips. Held while moving, X extrudes as it goes.",
  needs: "selection",
  takes: ["face", "piece", "edge"],
  verb: "Extrude",
  places: true,
  fields: [
    { name: "distance", label: "Distance", unit: "mm", initial: 10, step: 1, keep: true },
    { name: "way", label: "Faces", unit: "", initial: 0, step: 1, keep: true, options: ["with an even wall", "by their mean normal", "each by itself", "away from the pivot"] },
    { name: "segments", label: "Segments", unit: "", initial: 1, step: 1, min: 1, max: 64, whole: true, keep: true },
    { name: "taper", label: "Taper", unit: "%", initial: 100, step: 5, min: 0, max: 10000, keep: true },
    { name: "turn", label: "Turn", unit: "°", initial: 0, step: 5, keep: true },
    along("x"),
    along("y"),
    along("z"),
  ],
  command: (v, target, placing) => {
    if (!target) return null;
    const rise = { segments: v.segments, taper: v.taper / 100, degrees: v.turn };
    if (v.x || v.y || v.z) return { kind: "extrude-along", ...target, vector: alongAxes([v.x, v.y, v.z], placing), ...rise };
    if (!v.distance) return null;
    const way = ways[v.way];
    const from = way === "point" ? { point: placing.pivot ?? ([0, 0, 0] as [number, number, number]) } : {};
    return { kind: "extrude", ...target, distance: v.distance, way, ...from, ...rise };
  },
  parts: [
    ...axes.map((axis) => ({ kind: "axis" as const, axis })),
    ...axes.map((axis) => ({ kind: "plane" as const, axis })),
    { kind: "screen" },
    { kind: "normal" },
  ],
  dragged: ({ part, amount, vector }, placing) => {
    // Of edges the rose arrow is a direction like the others; on its own a strip goes on as the faces end.
    if (part.kind === "normal" && useBench.getState().pickKind !== "edge")
      return { values: { distance: amount, x: 0, y: 0, z: 0 }, field: "distance" };
    const [x, y, z] = onAxes(vector, placing);
    const axis = "axis" in part ? part.axis : 0;
    return { values: { distance: 0, x, y, z }, field: axisNames[part.kind === "plane" ? (axis + 1) % 3 : axis] };
  },
  typed: (v, field) => (field === "distance" ? { ...v, x: 0, y: 0, z: 0 } : v),
};
