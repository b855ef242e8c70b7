/** Grid and snapping. */
import { SnapCard } from "../panels/cards/SnapCard";
import { SnapIcon } from "../theme/icons";
import type { Tool } from "./tool";

export const tool: Tool = {
  id: "snapping", name: "Grid, snapping", station: "set-out", order: 50, Icon: SnapIcon, hint: "", needs: "nothing", verb: "", fields: [],
  Card: SnapCard,
};
