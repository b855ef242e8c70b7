import { AroundIcon } from "../../theme/icons";
import { axis, axisOf, axisValues, dot } from "./directions";
import { followerTool, place, pointOf } from "./follower";

export const tool = followerTool(
  {
    id: "repeat-round",
    name: "Repeat round",
    order: 42,
    Icon: AroundIcon,
    hint: "Copies of the body about an axis, evenly or by an angle; a phase of 0.5 lays them half a step on.",
    fields: [
      { name: "count", label: "Count", unit: "", initial: 6, step: 1, min: 1, max: 128, whole: true },
      ...axis("axis", "About", 2),
      { name: "spread", label: "Spread", unit: "", initial: 0, step: 1, options: ["evenly all round", "by an angle"] },
      { name: "angle", label: "Angle", unit: "°", initial: 30, step: 5, when: (v) => v.spread === 1 },
      { name: "phase", label: "Phase", unit: "", initial: 0, step: 0.5 },
      ...place(),
    ],
  },
  {
    kinds: ["repeat-round"],
    make(v) {
      const along = axisOf(v, "axis");
      return along && { kind: "repeat-round", count: v.count, along, point: pointOf(v), angle: v.spread ? v.angle : null, phase: v.phase };
    },
    read(f) {
      const [x, y, z] = f.point ?? [0, 0, 0];
      const values = axisValues("axis", f.along ?? [0, 0, 1]);
      // About the axis the other way round all turns are the other way round.
      const sense = dot(axisOf(values, "axis")!, f.along ?? [0, 0, 1]) < 0 ? -1 : 1;
      const evenly = f.angle == null;
      return {
        ...values, x, y, z, count: f.count ?? 6, spread: evenly ? 0 : 1, angle: sense * (f.angle ?? 30),
        phase: (evenly ? sense : 1) * (f.phase ?? 0),
      };
    },
  },
);
