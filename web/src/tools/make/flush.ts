import { drawn } from "../../model/tool";
import { length } from "../shared/follower";
import { settingTool } from "../shared/setting";

export const tool = settingTool({
  id: "flush",
  name: "Flush",
  order: 63,
  icon: drawn(["M3 9h4l5 8 5-8h4", "M3 19h18", "M7 9h10"]),
  also: "gypsy burnish setting sunk",
  hint: "The stone lies in the metal. Sink it so that metal reaches over its girdle; the edge is cut bright.",
  fields: { bright: length("Bright cut", 0.15, { step: 0.05, min: 0, max: 5 }) },
  kind: "flush",
  make: (v) => ({ kind: "flush", bright: v.bright }),
  read: (f) => ({ bright: f.bright }),
});
