/** Bring in a component to build around. */
import { ComponentCard } from "../panels/cards/ImportCard";
import { ComponentIcon } from "../theme/icons";
import type { Tool } from "./tool";

export const tool: Tool = {
  id: "component", name: "Component", station: "set-out", order: 20, Icon: ComponentIcon, hint: "", needs: "nothing", verb: "", fields: [],
  Card: ComponentCard,
};
