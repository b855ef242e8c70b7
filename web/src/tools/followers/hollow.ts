import { HollowIcon } from "../../theme/icons";
import type { Vec } from "../../live/look";
import { directions, followerTool, length, nearestDirection, place, pointOf, towards } from "./follower";

const open = (v: { opening: number }) => v.opening === 1;
const vented = (v: { vent: number }) => v.vent > 0;

export const tool = followerTool(
  {
    id: "hollow",
    name: "Hollow",
    order: 24,
    Icon: HollowIcon,
    hint: "Takes out all that lies deeper than the wall. Look inside with a section or a trim.",
    fields: [
      length("wall", "Wall", 2, { step: 0.25, min: 0.05 }),
      { name: "opening", label: "Opening", unit: "", initial: 0, step: 1, options: ["none", "by a plane"] },
      towards("side", "Open towards", 5, (v) => open(v as { opening: number })),
      length("at", "At", 0, { step: 1, when: (v) => open(v as { opening: number }) }),
      length("vent", "Vent radius", 0, { step: 0.25, min: 0 }),
      ...place((v) => vented(v as { vent: number })),
      towards("through", "Along", 2, (v) => vented(v as { vent: number })),
    ],
  },
  {
    kinds: ["hollow"],
    make: (v) => ({
      kind: "hollow",
      wall: v.wall,
      opening: v.opening ? ([directions[v.side % 3].map((x) => x * v.at), directions[v.side]] as [Vec, Vec]) : null,
      vents: v.vent > 0 ? [{ point: pointOf(v), along: directions[v.through], radius: v.vent }] : [],
    }),
    read(f) {
      const [plane, vent] = [f.opening, f.vents?.[0]];
      const side = plane ? nearestDirection(plane[1] as Vec) : 5;
      const [x, y, z] = vent?.point ?? [0, 0, 0];
      return {
        wall: f.wall ?? 2, opening: plane ? 1 : 0, side, at: plane ? (plane[0] as Vec)[side % 3] : 0,
        vent: vent?.radius ?? 0, x, y, z, through: vent ? nearestDirection(vent.along ?? [0, 0, 1]) : 2,
      };
    },
  },
);
