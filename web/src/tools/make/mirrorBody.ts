import { mirrorDrawing } from "../../model/drawings";
import { world } from "../../model/vec";
import { axis, axisValues, atOf, directionOf, footAt, typedShown } from "../shared/directions";
import { followerTool, length } from "../shared/follower";
import { grip } from "../shared/placing";

export const tool = followerTool({
  id: "mirror-body",
  name: "Mirror body",
  order: 40,
  icon: mirrorDrawing,
  also: "symmetry reflect copy",
  hint: "The body and its mirror image as one. To model one half of the cage, use Mirror in Shape.",
  fields: {
    ...axis("axis", "Plane", "x", { x: "across x", y: "across y", z: "across z" }, "Normal"),
    at: length("At", 0, { step: 1 }),
  },
  shown: typedShown("axis"),
  grips(v) {
    const along = directionOf(v, "axis");
    return along ? [grip("at", footAt(along, v.at), along)] : [];
  },
  kinds: ["mirror-body"],
  make(v) {
    const normal = directionOf(v, "axis");
    return normal && { kind: "mirror-body", normal, point: footAt(normal, v.at) };
  },
  read(f) {
    const values = axisValues("axis", f.normal ?? [1, 0, 0]);
    const normal = directionOf({ axis: "x", axis_x: 1, axis_y: 0, axis_z: 0, ...values }, "axis") ?? world[0];
    return { ...values, at: atOf(normal, f.point ?? [0, 0, 0]) };
  },
});
