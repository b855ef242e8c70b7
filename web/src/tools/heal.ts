import { HealIcon } from "../theme/icons";
import type { Tool } from "./tool";

export const tool: Tool = {
  id: "heal",
  name: "Heal away",
  key: "h",
  shift: true,
  station: "shape",
  section: "Clean up",
  order: 92,
  Icon: HealIcon,
  hint: "Takes picked edges away, those at picked vertices, or those within picked faces; what is around grows together.",
  needs: "selection",
  takes: ["edge", "vertex", "face"],
  verb: "Heal away",
  fields: [],
  atOnce: true,
  command: (_, target) => target && { kind: "heal", ...target },
};
