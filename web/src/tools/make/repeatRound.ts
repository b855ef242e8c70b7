import { aroundDrawing } from "../../model/drawings";
import { axis, axisValues, directionOf, typedShown } from "../shared/directions";
import { angle, choice, count, number } from "../shared/fields";
import { followerTool, point, pointOf, pointValues } from "../shared/follower";

export const tool = followerTool({
  id: "repeat-round",
  name: "Repeat round",
  order: 42,
  icon: aroundDrawing,
  also: "copy array pattern ring",
  hint: "Copies of the body about an axis, evenly or by an angle; a phase of 0.5 lays them half a step on.",
  fields: {
    count: count("Count", 6, 1, { max: 128 }),
    ...axis("axis", "About", "z"),
    spread: choice("Spread", { evenly: "evenly all round", angle: "by an angle" }),
    angle: angle("Angle", 30),
    phase: number("Phase", 0, { step: 0.5 }),
    ...point,
  },
  shown: { ...typedShown("axis"), angle: (v) => v.spread === "angle" },
  kinds: ["repeat-round"],
  make(v) {
    const along = directionOf(v, "axis");
    return along && { kind: "repeat-round", count: v.count, along, point: pointOf(v), angle: v.spread === "angle" ? v.angle : null, phase: v.phase };
  },
  read(f) {
    const given = f.along ?? [0, 0, 1];
    const values = axisValues("axis", given);
    // About the axis the other way round all turns are the other way round.
    const sense = given.find((x) => Math.abs(x) > 1e-12) ?? 1;
    const evenly = f.angle == null;
    const turn = sense < 0 ? -1 : 1;
    return {
      ...values, ...pointValues(f.point), count: f.count ?? 6, spread: evenly ? "evenly" : "angle", angle: turn * (f.angle ?? 30),
      phase: (evenly ? turn : 1) * (f.phase ?? 0),
    };
  },
});
