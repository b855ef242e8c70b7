import { TurnIcon } from "../theme/icons";
import { axes, axisNames, type Tool } from "./tool";

const about = (name: string) => ({ name, label: `About ${name}`, unit: "°", initial: 0, step: 5 });

export const tool: Tool = {
  id: "turn",
  name: "Turn",
  key: "t",
  station: "shape",
  order: 20,
  Icon: TurnIcon,
  hint: "Drag one of the three arcs; it turns about the middle of the selection.",
  needs: "selection",
  verb: "Turn",
  fields: [about("x"), about("y"), about("z")],
  command: (v, target) => {
    const axis = axisNames.findIndex((name) => v[name]);
    if (!target || axis < 0) return null;
    const direction: [number, number, number] = [0, 0, 0];
    direction[axis] = 1;
    return { kind: "turn", ...target, axis: direction, degrees: v[axisNames[axis]] };
  },
  parts: axes.map((axis) => ({ kind: "arc" as const, axis })),
  dragged: ({ part, amount }) => {
    const field = axisNames["axis" in part ? part.axis : 0];
    return { values: { x: 0, y: 0, z: 0, [field]: amount }, field };
  },
  // One axis at a time: three turns in one step would depend on their order.
  typed: (v, field) => ({ x: 0, y: 0, z: 0, [field]: v[field] }),
};
