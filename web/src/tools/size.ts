import { SizeIcon } from "../theme/icons";
import { reaching } from "./placing";
import { axes, axisNames, type Tool } from "./tool";

const along = (name: string) => ({ name, label: `Along ${name}`, unit: "%" as const, initial: 100, step: 5, min: 0 });

export const tool: Tool = {
  id: "size",
  name: "Size",
  key: "s",
  station: "shape",
  section: "Place",
  order: 30,
  Icon: SizeIcon,
  hint: "Drag a bead along its stalk for one direction, the middle bead for all three. 0 % lines things up.",
  needs: "selection",
  verb: "Size",
  places: true,
  reaches: true,
  fields: [{ name: "all", label: "All", unit: "%", initial: 100, step: 5, min: 0 }, ...axisNames.map(along)],
  command: (v, target, placing) => {
    const factors = axisNames.map((name) => (v.all / 100) * (v[name] / 100)) as [number, number, number];
    if (!target || factors.every((factor) => factor === 1)) return null;
    const pivot = placing.pivot ? { pivot: placing.pivot } : {};
    const frame = placing.frame ? { frame: placing.frame } : {};
    return { kind: "size", ...target, factors, ...pivot, ...frame, ...reaching(placing) };
  },
  parts: [...axes.map((axis) => ({ kind: "knob" as const, axis })), { kind: "bead" }],
  dragged: ({ part, amount }) => {
    const field = part.kind === "knob" && "axis" in part ? axisNames[part.axis] : "all";
    return { values: { all: 100, x: 100, y: 100, z: 100, [field]: amount * 100 }, field };
  },
};
