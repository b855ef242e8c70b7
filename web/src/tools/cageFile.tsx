/** The control cage as a file. */
import { CageFileCard } from "../panels/cards/CageFileCard";
import { CageFileIcon } from "../theme/icons";
import type { Tool } from "./tool";

export const tool: Tool = {
  id: "cage-file", name: "Cage file", station: "make", order: 20, Icon: CageFileIcon, hint: "", needs: "nothing", verb: "", fields: [],
  Card: CageFileCard,
};
