import { TrimIcon } from "../../theme/icons";
import type { Vec } from "../../live/look";
import { directions, followerTool, length, nearestDirection, towards } from "./follower";

export const tool = followerTool(
  {
    id: "trim",
    name: "Trim",
    order: 22,
    Icon: TrimIcon,
    hint: "Cuts off all that lies beyond a plane, with a flat rim. A fillet can round the rim. The bead moves the plane.",
    fields: [towards("side", "Cut off towards", 5), length("at", "At", 0, { step: 1 })],
    grips: (v) => {
      const along = directions[v.side % 3];
      return [{ kind: "grip", field: "at", at: along.map((x) => x * v.at) as Vec, along, gain: 1 }];
    },
  },
  {
    kinds: ["trim"],
    make: (v) => ({ kind: "trim", normal: directions[v.side], point: directions[v.side % 3].map((x) => x * v.at) as Vec }),
    read(f) {
      const side = nearestDirection(f.normal ?? [0, 0, 1]);
      return { side, at: (f.point ?? [0, 0, 0])[side % 3] };
    },
  },
);
