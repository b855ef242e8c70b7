import { drawn } from "../../model/tool";
import { angle, choice } from "../shared/fields";
import { length } from "../shared/follower";
import { settingTool } from "../shared/setting";

export const tool = settingTool({
  id: "bezel",
  name: "Bezel",
  order: 61,
  icon: drawn(["M4 9v9h16V9", "M8 9v4h8V9", "M8 9c0-3 8-3 8 0"]),
  also: "collet wall rub over setting",
  hint: "A wall all round each stone, cut out for it. It stands in the metal where that lies below it.",
  fields: {
    wall: length("Wall", 0.5, { step: 0.05, min: 0.05 }),
    over: length("Over the girdle", 0.5, { step: 0.05, min: 0 }),
    ledge: length("Ledge", 0.3, { step: 0.05, min: 0 }),
    taper: angle("Taper", 0, { step: 1, min: 0, max: 45 }),
    base: choice("Base", { closed: "closed", open: "open" }),
    depth: length("Depth in the air", 0, { step: 0.1, min: 0, more: true, help: "0: a little below the stone" }),
  },
  kind: "bezel",
  make: (v) => ({ kind: "bezel", wall: v.wall, over: v.over, ledge: v.ledge, taper: v.taper, base: v.base, depth: v.depth }),
  read: (f) => ({ wall: f.wall, over: f.over, ledge: f.ledge, taper: f.taper, base: f.base, depth: f.depth }),
});
