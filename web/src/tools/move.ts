import { MoveIcon } from "../theme/icons";
import { axes, axisNames, type Tool } from "./tool";

const along = (name: string, label: string) => ({ name, label, unit: "mm", initial: 0, step: 1 });

export const tool: Tool = {
  id: "move",
  name: "Move",
  key: "m",
  station: "shape",
  order: 10,
  Icon: MoveIcon,
  hint: "Drag an arrow, a corner patch for a plane, or the short rose arrow for the mean normal.",
  needs: "selection",
  verb: "Move",
  fields: [along("x", "Along x"), along("y", "Along y"), along("z", "Along z"), along("normal", "Along normal")],
  command: (v, target) => {
    if (!target) return null;
    if (v.normal) return { kind: "move-along-normal", ...target, distance: v.normal };
    return v.x || v.y || v.z ? { kind: "move", ...target, vector: [v.x, v.y, v.z] } : null;
  },
  parts: [
    ...axes.map((axis) => ({ kind: "axis" as const, axis })),
    ...axes.map((axis) => ({ kind: "plane" as const, axis })),
    { kind: "normal" },
  ],
  dragged: ({ part, amount, vector }) => {
    const values = { x: vector[0], y: vector[1], z: vector[2], normal: 0 };
    if (part.kind === "normal") return { values: { x: 0, y: 0, z: 0, normal: amount }, field: "normal" };
    const axis = "axis" in part ? part.axis : 0;
    return { values, field: axisNames[part.kind === "plane" ? (axis + 1) % 3 : axis] };
  },
  typed: (v, field) => (field === "normal" ? { ...v, x: 0, y: 0, z: 0 } : { ...v, normal: 0 }),
};
