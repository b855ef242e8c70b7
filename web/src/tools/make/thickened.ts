import { thickenDrawing } from "../../model/drawings";
import { choice } from "../shared/fields";
import { followerTool, length } from "../shared/follower";

export const tool = followerTool({
  id: "thickened",
  name: "Thicken sheet",
  order: 30,
  icon: thickenDrawing,
  also: "wall thickness offset shell",
  hint: "Gives an open piece a wall when it is made a solid; the cage itself stays a sheet.",
  fields: {
    distance: length("Thickness", 2, { step: 0.25, min: 0.01 }),
    side: choice("Second wall", { in: "inside", out: "outside", both: "half each" }),
    rims: choice("Rims", { creased: "creased", rounded: "rounded" }),
  },
  kinds: ["thickened"],
  make: (v) => ({ kind: "thickened", distance: v.distance, side: v.side, crease_rims: v.rims === "creased" }),
  read: (f) => ({ distance: f.distance ?? 2, side: f.side ?? "in", rims: f.crease_rims === false ? "rounded" : "creased" }),
});
