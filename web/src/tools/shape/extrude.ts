import { axes, axisNames, drawn, verb } from "../../model/tool";
import { length, parameter } from "../shared/fields";
import { alongAxes, onAxes } from "../shared/placing";

export const tool = verb({
  id: "extrude",
  name: "Extrude",
  key: "X",
  station: "shape",
  section: "Build",
  order: 40,
  icon: drawn(["M4 20c0-3 3-4 5-4V8h6v8c2 0 5 1 5 4", "M12 5V2", "M10.500 3.500L12 2l1.500 1.500"]),
  also: "pull raise grow",
  hint: "Drag the rose arrow, or another arrow for a direction of its own. Open edges grow strips, the end of a curve another point. Held while moving, X extrudes as it goes.",
  needs: "selection",
  takes: ["face", "piece", "edge"],
  missing: ({ piece, pickKind, picked }) => (piece?.curve && pickKind === "vertex" && picked.length ? null : undefined),
  verb: "Extrude",
  places: "pivot",
  fields: {
    distance: parameter("extrude", "distance", { initial: 10, keep: true }),
    way: parameter("extrude", "way", { initial: "even", keep: true }),
    segments: parameter("extrude", "segments", { keep: true }),
    taper: parameter("extrude", "taper", { keep: true }),
    turn: parameter("extrude", "degrees", { keep: true }),
    x: length("Along x", 0, { more: true }),
    y: length("Along y", 0, { more: true }),
    z: length("Along z", 0, { more: true }),
  },
  command(v, { target, placing }) {
    if (!target) return null;
    const rise = { segments: v.segments, taper: v.taper / 100, degrees: v.turn };
    if (v.x || v.y || v.z) return { kind: "extrude-along", ...target, vector: alongAxes([v.x, v.y, v.z], placing), ...rise };
    if (!v.distance) return null;
    const from = v.way === "point" ? { point: placing.pivot ?? ([0, 0, 0] as [number, number, number]) } : {};
    return { kind: "extrude", ...target, distance: v.distance, way: v.way, ...from, ...rise };
  },
  parts: [
    ...axes.map((axis) => ({ kind: "axis" as const, axis })),
    ...axes.map((axis) => ({ kind: "plane" as const, axis })),
    { kind: "screen" },
    { kind: "normal" },
  ],
  dragged({ part, amount, vector }, _start, { placing, pickKind }) {
    // Of edges the rose arrow is a direction like the others; on its own a strip goes on as the faces end.
    if (part.kind === "normal" && pickKind !== "edge") return { values: { distance: amount, x: 0, y: 0, z: 0 }, field: "distance" };
    const [x, y, z] = onAxes(vector, placing);
    const axis = "axis" in part ? part.axis : 0;
    return { values: { distance: 0, x, y, z }, field: axisNames[part.kind === "plane" ? (axis + 1) % 3 : axis] };
  },
  // One direction at a time: along the normals, or by a vector.
  typed(v, field) {
    if (field === "distance") return { ...v, x: 0, y: 0, z: 0 };
    return field === "x" || field === "y" || field === "z" ? { ...v, distance: 0 } : v;
  },
});
