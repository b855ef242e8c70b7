import { MoveIcon } from "../theme/icons";
import { alongAxes, onAxes, reaching } from "./placing";
import { axes, axisNames, type Tool } from "./tool";

const along = (name: string, label: string) => ({ name, label, unit: "mm" as const, initial: 0, step: 1 });
const none = { x: 0, y: 0, z: 0, normal: 0, each: 0 };

export const tool: Tool = {
  id: "move",
  name: "Move",
  key: "m",
  station: "shape",
  section: "Place",
  order: 10,
  Icon: MoveIcon,
  hint: "Drag an arrow, a patch for a plane, the ring for the screen, the rose arrow for the mean normal, the diamond for each its own.",
  needs: "selection",
  verb: "Move",
  places: true,
  reaches: true,
  fields: [
    along("x", "Along x"),
    along("y", "Along y"),
    along("z", "Along z"),
    along("normal", "Along normal"),
    along("each", "Each its own"),
  ],
  command: (v, target, placing) => {
    if (!target) return null;
    const carried = reaching(placing);
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
  dragged: ({ part, amount, vector }, placing) => {
    if (part.kind === "normal" || part.kind === "each") return { values: { ...none, [part.kind]: amount }, field: part.kind };
    const [x, y, z] = onAxes(vector, placing);
    const axis = "axis" in part ? part.axis : 0;
    return { values: { ...none, x, y, z }, field: axisNames[part.kind === "plane" ? (axis + 1) % 3 : axis] };
  },
  typed: (v, field) => {
    if (field === "normal" || field === "each") return { ...none, [field]: v[field] };
    return { ...v, normal: 0, each: 0 };
  },
};
