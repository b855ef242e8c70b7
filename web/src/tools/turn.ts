import { TurnIcon } from "../theme/icons";
import { axesOf, reaching } from "./placing";
import { axes, axisNames, type Tool } from "./tool";

const about = (name: string) => ({ name, label: `About ${name}`, unit: "°" as const, initial: 0, step: 5 });

export const tool: Tool = {
  id: "turn",
  name: "Turn",
  key: "t",
  station: "shape",
  section: "Place",
  order: 20,
  Icon: TurnIcon,
  hint: "Drag one of the three arcs; it turns about the pivot.",
  needs: "selection",
  verb: "Turn",
  places: true,
  reaches: true,
  fields: [about("x"), about("y"), about("z")],
  command: (v, target, placing) => {
    const axis = axisNames.findIndex((name) => v[name]);
    if (!target || axis < 0) return null;
    const pivot = placing.pivot ? { pivot: placing.pivot } : {};
    return { kind: "turn", ...target, axis: axesOf(placing)[axis], degrees: v[axisNames[axis]], ...pivot, ...reaching(placing) };
  },
  parts: axes.map((axis) => ({ kind: "arc" as const, axis })),
  dragged: ({ part, amount }) => {
    const field = axisNames["axis" in part ? part.axis : 0];
    return { values: { x: 0, y: 0, z: 0, [field]: amount }, field };
  },
  // One axis at a time: three turns in one step would depend on their order.
  typed: (v, field) => ({ x: 0, y: 0, z: 0, [field]: v[field] }),
};
