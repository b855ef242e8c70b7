import { MirrorIcon } from "../../theme/icons";
import { atOf, axis, axisOf, axisValues, footAt } from "./directions";
import { followerTool, length } from "./follower";

export const tool = followerTool(
  {
    id: "mirror-body",
    name: "Mirror body",
    order: 40,
    Icon: MirrorIcon,
    hint: "The body and its mirror image as one. To model one half of the cage, use Mirror in Shape.",
    fields: [
      ...axis("axis", "Plane", 0, ["across x", "across y", "across z"]),
      length("at", "At", 0, { step: 1 }),
    ],
    grips(v) {
      const along = axisOf(v, "axis");
      return along ? [{ kind: "grip", field: "at", at: footAt(along, v.at), along, gain: 1 }] : [];
    },
  },
  {
    kinds: ["mirror-body"],
    make(v) {
      const normal = axisOf(v, "axis");
      return normal && { kind: "mirror-body", normal, point: footAt(normal, v.at) };
    },
    read(f) {
      const values = axisValues("axis", f.normal ?? [1, 0, 0]);
      return { ...values, at: atOf(axisOf(values, "axis")!, f.point ?? [0, 0, 0]) };
    },
  },
);
