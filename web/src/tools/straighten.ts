import { StraightenIcon } from "../theme/icons";
import { shareOfTheWay } from "./forms";
import type { Tool } from "./tool";

export const tool: Tool = {
  id: "straighten",
  name: "Straighten",
  station: "refine",
  section: "Along the cage",
  order: 46,
  Icon: StraightenIcon,
  hint: "Slides the vertices of each picked loop along the cage until it lies in one plane.",
  needs: "selection",
  takes: ["edge", "vertex", "face"],
  eager: true,
  verb: "Straighten",
  fields: [shareOfTheWay({ slider: true })],
  command: (v, target) => target && { kind: "straighten", ...target, share: v.share / 100 },
};
