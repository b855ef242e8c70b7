import { CircleIcon } from "../theme/icons";
import { shareOfTheWay } from "./forms";
import type { Tool } from "./tool";

export const tool: Tool = {
  id: "circle",
  name: "Circle",
  key: "c",
  shift: true,
  station: "shape",
  section: "Even out",
  order: 74,
  Icon: CircleIcon,
  hint: "Makes each picked loop round, in the plane that fits it best. Of faces the border is meant. Radius 0 leaves it as large as it is.",
  needs: "selection",
  takes: ["edge", "vertex", "face"],
  eager: true,
  verb: "Make round",
  fields: [
    { name: "radius", label: "Radius", unit: "mm", initial: 0, step: 0.5, min: 0 },
    { name: "even", label: "Angles", unit: "", initial: 0, step: 1, keep: true, options: ["even", "as they are"] },
    shareOfTheWay(),
  ],
  command: (v, target) =>
    target && { kind: "circle", ...target, radius: v.radius || null, even: v.even === 0, share: v.share / 100 },
  parts: [{ kind: "bead" }],
  dragged: ({ vector }, _, start) => ({ values: { radius: Math.max(0, start.radius + vector[0]) }, field: "radius" }),
};
