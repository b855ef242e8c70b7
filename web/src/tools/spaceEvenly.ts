import { SpaceIcon } from "../theme/icons";
import { shareOfTheWay } from "./forms";
import type { Tool } from "./tool";

export const tool: Tool = {
  id: "space-evenly",
  name: "Space evenly",
  station: "refine",
  section: "Along the cage",
  order: 44,
  Icon: SpaceIcon,
  hint: "Sets the vertices of each picked loop or chain at even distances; the ends of a chain stay.",
  needs: "selection",
  takes: ["edge", "vertex", "face"],
  eager: true,
  verb: "Space evenly",
  fields: [shareOfTheWay({ slider: true })],
  command: (v, target) => target && { kind: "space-evenly", ...target, share: v.share / 100 },
};
