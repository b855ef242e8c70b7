import { spaceDrawing } from "../../model/drawings";
import { count, number } from "../shared/fields";
import { directionOf, towards, towardsValues, typedShown } from "../shared/directions";
import { followerTool, length } from "../shared/follower";

export const tool = followerTool({
  id: "repeat-along",
  name: "Repeat along",
  order: 44,
  icon: spaceDrawing,
  also: "copy array pattern row",
  hint: "Copies of the body in a row; a phase of 0.5 lays them half a step on.",
  fields: {
    count: count("Count", 3, 1, { max: 128 }),
    ...towards("along", "Towards", "+x"),
    spacing: length("Spacing", 20, { step: 1, min: 0.01 }),
    phase: number("Phase", 0, { step: 0.5 }),
  },
  shown: typedShown("along"),
  kinds: ["repeat-along"],
  make(v) {
    const along = directionOf(v, "along");
    return along && { kind: "repeat-along", count: v.count, along, spacing: v.spacing, phase: v.phase };
  },
  read: (f) => ({ ...towardsValues("along", f.along ?? [1, 0, 0]), count: f.count ?? 3, spacing: f.spacing ?? 20, phase: f.phase ?? 0 }),
});
