import { AroundIcon } from "../../theme/icons";
import { directions, followerTool, nearestDirection, place, pointOf } from "./follower";

export const tool = followerTool(
  {
    id: "repeat-round",
    name: "Repeat round",
    order: 42,
    Icon: AroundIcon,
    hint: "Copies of the body about an axis, evenly or by an angle; a phase of 0.5 lays them half a step on.",
    fields: [
      { name: "count", label: "Count", unit: "", initial: 6, step: 1, min: 1, max: 128, whole: true },
      { name: "axis", label: "About", unit: "", initial: 2, step: 1, options: ["x", "y", "z"] },
      { name: "spread", label: "Spread", unit: "", initial: 0, step: 1, options: ["evenly all round", "by an angle"] },
      { name: "angle", label: "Angle", unit: "°", initial: 30, step: 5, when: (v) => v.spread === 1 },
      { name: "phase", label: "Phase", unit: "", initial: 0, step: 0.5 },
      ...place(),
    ],
  },
  {
    kinds: ["repeat-round"],
    make: (v) => ({ kind: "repeat-round", count: v.count, along: directions[v.axis], point: pointOf(v), angle: v.spread ? v.angle : null, phase: v.phase }),
    read(f) {
      const [x, y, z] = f.point ?? [0, 0, 0];
      return {
        x, y, z, count: f.count ?? 6, axis: nearestDirection((f.along ?? [0, 0, 1]).map(Math.abs)) % 3,
        spread: f.angle == null ? 0 : 1, angle: f.angle ?? 30, phase: f.phase ?? 0,
      };
    },
  },
);
