import { drawn } from "../../model/tool";
import { length } from "../shared/follower";
import { settingTool } from "../shared/setting";

export const tool = settingTool({
  id: "channel",
  name: "Channel",
  order: 64,
  icon: drawn(["M4 6h16", "M4 18h16", "M7 8h4v8H7z", "M13 8h4v8h-4z"]),
  also: "row walls groove setting",
  hint: "Two walls along a row of stones, in their order, with a slot between. A row that closes is a ring of walls.",
  fields: {
    wall: length("Wall", 0.6, { step: 0.05, min: 0.05 }),
    over: length("Over the girdle", 0.4, { step: 0.05, min: 0 }),
    bite: length("Bite", 0.15, { step: 0.05, min: 0, max: 5 }),
  },
  kind: "channel",
  make: (v) => ({ kind: "channel", wall: v.wall, over: v.over, bite: v.bite }),
  read: (f) => ({ wall: f.wall, over: f.over, bite: f.bite }),
});
