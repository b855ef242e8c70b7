import { ThickenIcon } from "../../theme/icons";
import { followerTool, length } from "./follower";

const sides = ["in", "out", "both"] as const;

export const tool = followerTool(
  {
    id: "thickened",
    name: "Thicken sheet",
    order: 30,
    Icon: ThickenIcon,
    hint: "Gives an open piece a wall when it is made a solid; the cage itself stays a sheet.",
    fields: [
      length("distance", "Thickness", 2, { step: 0.25, min: 0.01 }),
      { name: "side", label: "Second wall", unit: "", initial: 0, step: 1, options: ["inside", "outside", "half each"] },
      { name: "crease", label: "Rims", unit: "", initial: 0, step: 1, options: ["creased", "rounded"] },
    ],
  },
  {
    kinds: ["thickened"],
    make: (v) => ({ kind: "thickened", distance: v.distance, side: sides[v.side], crease_rims: v.crease === 0 }),
    read: (f) => ({ distance: f.distance ?? 2, side: sides.indexOf(f.side ?? "in"), crease: f.crease_rims === false ? 1 : 0 }),
  },
);
