import { MirrorIcon } from "../../theme/icons";
import type { Vec } from "../../live/look";
import { directions, followerTool, length, nearestDirection } from "./follower";

export const tool = followerTool(
  {
    id: "mirror-body",
    name: "Mirror body",
    order: 40,
    Icon: MirrorIcon,
    hint: "The body and its mirror image as one. To model one half of the cage, use Mirror in Shape.",
    fields: [
      { name: "axis", label: "Plane", unit: "", initial: 0, step: 1, options: ["across x", "across y", "across z"] },
      length("at", "At", 0, { step: 1 }),
    ],
    grips: (v) => [{ kind: "grip", field: "at", at: directions[v.axis].map((x) => x * v.at) as Vec, along: directions[v.axis], gain: 1 }],
  },
  {
    kinds: ["mirror-body"],
    make: (v) => ({ kind: "mirror-body", normal: directions[v.axis], point: directions[v.axis].map((x) => x * v.at) as Vec }),
    read(f) {
      const axis = nearestDirection((f.normal ?? [1, 0, 0]).map(Math.abs)) % 3;
      return { axis, at: (f.point ?? [0, 0, 0])[axis] };
    },
  },
);
