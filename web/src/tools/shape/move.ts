import { axes, axisNames, drawn, verb } from "../../model/tool";
import { length } from "../shared/fields";
import { alongAxes, onAxes, reaching } from "../shared/placing";

const none = { x: 0, y: 0, z: 0, normal: 0, each: 0 };

export const tool = verb({
  id: "move",
  name: "Move",
  key: "M",
  station: "shape",
  section: "Place",
  order: 10,
  opens: true,
  icon: drawn(["M5 19L17 7", "M11.500 6.500L17.500 6.500 17.500 12.500"], [[5, 19]]),
  also: "translate shift drag nudge",
  hint: "Drag an arrow, a patch for a plane, the ring for the screen, the rose arrow for the mean normal, the diamond for each its own.",
  needs: "selection",
  verb: "Move",
  places: "axes",
  reaches: true,
  springsTo: "extrude",
  fields: {
    x: length("Along x", 0),
    y: length("Along y", 0),
    z: length("Along z", 0),
    normal: length("Along normal", 0),
    each: length("Each its own", 0),
  },
  command(v, context) {
    const { target, placing } = context;
    if (!target) return null;
    const carried = reaching(context);
    if (v.each) return { kind: "move-each", ...target, distance: v.each, ...carried };
    if (v.normal) return { kind: "move-along-normal", ...target, distance: v.normal, ...carried };
    if (!v.x && !v.y && !v.z) return null;
    return { kind: "move", ...target, vector: alongAxes([v.x, v.y, v.z], placing), ...carried };
  },
  parts: [
    ...axes.map((axis) => ({ kind: "axis" as const, axis })),
    ...axes.map((axis) => ({ kind: "plane" as const, axis })),
    { kind: "screen" },
    { kind: "normal" },
    { kind: "each" },
  ],
  dragged({ part, amount, vector }, _start, { placing }) {
    if (part.kind === "normal" || part.kind === "each") return { values: { ...none, [part.kind]: amount }, field: part.kind };
    const [x, y, z] = onAxes(vector, placing);
    const axis = "axis" in part ? part.axis : 0;
    return { values: { ...none, x, y, z }, field: axisNames[part.kind === "plane" ? (axis + 1) % 3 : axis] };
  },
  typed(v, field) {
    if (field === "normal" || field === "each") return { ...none, [field]: v[field] };
    return { ...v, normal: 0, each: 0 };
  },
});
