import { drawn } from "../../model/tool";
import { choice } from "../shared/fields";
import { length } from "../shared/follower";
import { settingTool } from "../shared/setting";

export const tool = settingTool({
  id: "seats",
  name: "Seats",
  order: 66,
  icon: drawn(["M3 9h4l5 8 5-8h4", "M7 9V4M17 9V4", "M12 21v-1"]),
  also: "cutter burr bur drill stone hole",
  hint: "Only the seats, as wide as the stones with their clearance: cut into the form, or as bodies in place of it, for other uses. They hold nothing.",
  fields: {
    way: choice("Seats", { cut: "cut into it", alone: "as bodies, alone" }),
    above: length("Above the girdle", 2, { step: 0.5, min: 0.05, max: 50 }),
  },
  kind: "seats",
  make: (v) => ({ kind: "seats", way: v.way, above: v.above }),
  read: (f) => ({ way: f.way, above: f.above }),
});
