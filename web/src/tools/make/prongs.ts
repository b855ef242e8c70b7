import { drawn } from "../../model/tool";
import { angle, choice, count } from "../shared/fields";
import { length } from "../shared/follower";
import { settingTool } from "../shared/setting";

export const tool = settingTool({
  id: "prongs",
  name: "Prongs",
  order: 62,
  icon: drawn(["M6 20V8c0-1.500 2-1.500 2 0v3", "M18 20V8c0-1.500-2-1.500-2 0v3", "M8 11l4 5 4-5z"]),
  also: "claws basket setting wire",
  hint: "Wires that rise from the metal and grip the girdle. Their feet end in the metal and never come out below.",
  fields: {
    count: count("Prongs", 4, 2, { max: 8 }),
    wire: length("Wire", 0.8, { step: 0.05, min: 0.1, max: 10 }),
    over: length("Over the girdle", 0.5, { step: 0.05, min: 0 }),
    lean: angle("Lean out", 0, { step: 1, min: -30, max: 45 }),
    way: choice("At each place", { single: "one", double: "two", shared: "one, shared between neighbours" }),
    tip: choice("Tips", { round: "round", flat: "flat", claw: "claws" }),
    rails: count("Rails", 0, 0, { max: 2 }),
    turned: angle("Turned", 0, { min: -360, max: 360 }),
  },
  kind: "prongs",
  make: (v) => ({ kind: "prongs", count: v.count, wire: v.wire, over: v.over, lean: v.lean, way: v.way, tip: v.tip, rails: v.rails, turned: v.turned }),
  read: (f) => ({ count: f.count, wire: f.wire, over: f.over, lean: f.lean, way: f.way, tip: f.tip, rails: f.rails, turned: f.turned }),
});
