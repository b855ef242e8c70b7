import { SpaceIcon } from "../../theme/icons";
import { towards, towardsOf, towardsValues } from "./directions";
import { followerTool, length } from "./follower";

export const tool = followerTool(
  {
    id: "repeat-along",
    name: "Repeat along",
    order: 44,
    Icon: SpaceIcon,
    hint: "Copies of the body in a row; a phase of 0.5 lays them half a step on.",
    fields: [
      { name: "count", label: "Count", unit: "", initial: 3, step: 1, min: 1, max: 128, whole: true },
      ...towards("along", "Towards", 0),
      length("spacing", "Spacing", 20, { step: 1, min: 0.01 }),
      { name: "phase", label: "Phase", unit: "", initial: 0, step: 0.5 },
    ],
  },
  {
    kinds: ["repeat-along"],
    make(v) {
      const along = towardsOf(v, "along");
      return along && { kind: "repeat-along", count: v.count, along, spacing: v.spacing, phase: v.phase };
    },
    read: (f) => ({ ...towardsValues("along", f.along ?? [1, 0, 0]), count: f.count ?? 3, spacing: f.spacing ?? 20, phase: f.phase ?? 0 }),
  },
);
