import { drawn } from "../../model/tool";
import type { Vec } from "../../model/vec";
import { directionOf, towards, towardsValues, typedShown } from "../shared/directions";
import { angle, count, length } from "../shared/fields";
import { growthTool } from "../shared/growth";
import { pointGrips } from "../shared/placing";

export const tool = growthTool({
  id: "turn-round",
  name: "Turn round",
  order: 214,
  icon: drawn(["M12 2v20", "M15 5c5 2 5 6 2 8s-1 5 2 6", "M9 5C4 7 4 11 7 13s1 5-2 6"]),
  also: "revolve lathe rotate axis vase bowl",
  hint: "The curve turned about an axis. Its ends may lie on the axis: there the form closes.",
  verb: "Let it grow",
  fields: {
    count: count("Faces round", 8, 3, { max: 256 }),
    degrees: angle("Angle", 360, { min: -360, max: 360 }),
    ...towards("axis", "About", "+z"),
    x: length("Through x", 0, { more: true }),
    y: length("Through y", 0, { more: true }),
    z: length("Through z", 0, { more: true }),
  },
  shown: typedShown("axis"),
  moreWords: "Place…",
  grips: (v) => pointGrips(["x", "y", "z"], [v.x, v.y, v.z]),
  kind: "turned",
  curves: [1, 1],
  make(v, [source]) {
    const along: Vec = directionOf(v, "axis") ?? [0, 0, 1];
    return { kind: "turned", source, point: [v.x, v.y, v.z], along, count: v.count, degrees: v.degrees };
  },
  read(g) {
    const [x, y, z] = g.point ?? [0, 0, 0];
    return { count: g.count, degrees: g.degrees, x, y, z, ...towardsValues("axis", g.along ?? [0, 0, 1]) };
  },
});
