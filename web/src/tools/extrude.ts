import { ExtrudeIcon } from "../theme/icons";
import { alongAxes, onAxes } from "./placing";
import { axes, axisNames, type Tool } from "./tool";

const along = (name: string) => ({ name, label: `Along ${name}`, unit: "mm" as const, initial: 0, step: 1 });

export const tool: Tool = {
  id: "extrude",
  name: "Extrude",
  key: "x",
  station: "shape",
  order: 40,
  Icon: ExtrudeIcon,
  hint: "Drag the rose arrow, or another arrow for a direction of its own. Held while moving, X extrudes as it goes.",
  needs: "faces",
  verb: "Extrude",
  fields: [
    { name: "distance", label: "Distance", unit: "mm", initial: 10, step: 1, keep: true },
    along("x"),
    along("y"),
    along("z"),
  ],
  command: (v, target, placing) => {
    if (!target) return null;
    if (v.x || v.y || v.z) return { kind: "extrude-along", ...target, vector: alongAxes([v.x, v.y, v.z], placing) };
    return v.distance ? { kind: "extrude", ...target, distance: v.distance } : null;
  },
  parts: [
    ...axes.map((axis) => ({ kind: "axis" as const, axis })),
    ...axes.map((axis) => ({ kind: "plane" as const, axis })),
    { kind: "screen" },
    { kind: "normal" },
  ],
  dragged: ({ part, amount, vector }, placing) => {
    if (part.kind === "normal") return { values: { distance: amount, x: 0, y: 0, z: 0 }, field: "distance" };
    const [x, y, z] = onAxes(vector, placing);
    const axis = "axis" in part ? part.axis : 0;
    return { values: { distance: 0, x, y, z }, field: axisNames[part.kind === "plane" ? (axis + 1) % 3 : axis] };
  },
  typed: (v, field) => (field === "distance" ? { ...v, x: 0, y: 0, z: 0 } : v),
};
