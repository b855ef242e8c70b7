import { SizeIcon } from "../../theme/icons";
import { PickedDistance } from "../../panels/cards/PickedDistance";
import type { Vec } from "../../live/look";
import { followerTool, length } from "./follower";

const measures = ["longest", "x", "y", "z", "distance"] as const;
const measured = (v: { measure: number }) => v.measure === 4;

export const tool = followerTool(
  {
    id: "scale-to-size",
    name: "Scale to size",
    order: 46,
    Icon: SizeIcon,
    hint: "Scales the body evenly about the origin until the measure has the length asked for.",
    fields: [
      { name: "measure", label: "Measure", unit: "", initial: 0, step: 1, options: ["longest axis", "along x", "along y", "along z", "between two points"] },
      length("length", "Length", 100, { step: 1, min: 0.01 }),
      ...["x1", "y1", "z1", "x2", "y2", "z2"].map((name, k) => length(name, `${"xyz"[k % 3]} of ${k < 3 ? "first" : "second"}`, k === 5 ? 100 : 0, { when: (v) => measured(v as { measure: number }) })),
    ],
    Below: PickedDistance,
  },
  {
    kinds: ["scale-to-size"],
    make: (v) => ({
      kind: "scale-to-size", measure: measures[v.measure], length: v.length, about: [0, 0, 0] as Vec,
      ends: measured(v as { measure: number }) ? ([[v.x1, v.y1, v.z1], [v.x2, v.y2, v.z2]] as [Vec, Vec]) : null,
    }),
    read(f) {
      const [a, b] = (f.ends ?? [[0, 0, 0], [0, 0, 100]]) as [Vec, Vec];
      return {
        measure: measures.indexOf(f.measure ?? "longest"), length: f.length ?? 100,
        x1: a[0], y1: a[1], z1: a[2], x2: b[0], y2: b[1], z2: b[2],
      };
    },
  },
);
