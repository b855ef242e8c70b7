import { drawn } from "../../model/tool";
import { angle, count } from "../shared/fields";
import { length } from "../shared/follower";
import { settingTool } from "../shared/setting";

export const tool = settingTool({
  id: "beads",
  name: "Beads",
  order: 65,
  icon: drawn(["M8 12c0-5 8-5 8 0s-8 5-8 0z"], [[6, 6], [18, 6], [6, 18], [18, 18]]),
  also: "pave grains setting",
  hint: "Stones sunk in the metal, each held by grains; those of neighbours that all but touch are one.",
  fields: {
    count: count("Grains each", 4, 2, { max: 8 }),
    grain: length("Grain", 0.4, { step: 0.05, min: 0.1, max: 5 }),
    over: length("Over the girdle", 0.3, { step: 0.05, min: 0, max: 5 }),
    turned: angle("Turned", 0, { min: -360, max: 360 }),
  },
  kind: "beads",
  make: (v) => ({ kind: "beads", count: v.count, grain: v.grain, over: v.over, turned: v.turned }),
  read: (f) => ({ count: f.count, grain: f.grain, over: f.over, turned: f.turned }),
});
