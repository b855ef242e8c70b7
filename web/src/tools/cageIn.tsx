/** Bring a cage in from a file. */
import { CageInCard } from "../panels/cards/CageInCard";
import { CageInIcon } from "../theme/icons";
import type { Tool } from "./tool";

export const tool: Tool = {
  id: "cage-in",
  name: "Cage from a file",
  station: "rough",
  section: "From outside",
  order: 300,
  Icon: CageInIcon,
  hint: "",
  needs: "nothing",
  verb: "Bring in",
  fields: [],
  Card: CageInCard,
};
