/** The reference in hand: place it, size it, fade it. */
import { ReferenceCard } from "../panels/cards/ReferenceCard";
import { PenIcon } from "../theme/icons";
import { markTwo } from "./measuring";
import type { Tool } from "./tool";

export const tool: Tool = {
  id: "reference", name: "Place reference", station: "set-out", order: 30, Icon: PenIcon, hint: "", needs: "nothing", verb: "", fields: [],
  Card: ReferenceCard,
  pointing: markTwo,
};
