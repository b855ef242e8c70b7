import { sizeDrawing } from "../../model/drawings";
import type { Vec } from "../../model/vec";
import { choice } from "../shared/fields";
import { followerTool, length } from "../shared/follower";

const end = (which: string, axis: string, initial = 0) => length(`${axis} of ${which}`, initial);
const measured = (v: { measure: string }) => v.measure === "distance";

export const tool = followerTool({
  id: "scale-to-size",
  name: "Scale to size",
  order: 46,
  icon: sizeDrawing,
  also: "resize scale shrink fit",
  hint: "Scales the body evenly about the origin until the measure has the length asked for.",
  fields: {
    measure: choice("Measure", { longest: "longest axis", x: "along x", y: "along y", z: "along z", distance: "between two points" }),
    length: length("Length", 100, { step: 1, min: 0.01 }),
    x1: end("first", "x"), y1: end("first", "y"), z1: end("first", "z"),
    x2: end("second", "x"), y2: end("second", "y"), z2: end("second", "z", 100),
  },
  shown: { x1: measured, y1: measured, z1: measured, x2: measured, y2: measured, z2: measured },
  below: "PickedDistance",
  kinds: ["scale-to-size"],
  make: (v) => ({
    kind: "scale-to-size", measure: v.measure, length: v.length, about: [0, 0, 0] as Vec,
    ends: measured(v) ? ([[v.x1, v.y1, v.z1], [v.x2, v.y2, v.z2]] as [Vec, Vec]) : null,
  }),
  read(f) {
    const [[x1, y1, z1], [x2, y2, z2]] = f.ends ?? [[0, 0, 0], [0, 0, 100]];
    return { measure: f.measure ?? "longest", length: f.length ?? 100, x1, y1, z1, x2, y2, z2 };
  },
});
