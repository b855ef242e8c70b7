/** Bring in a reference picture. */
import { PictureCard } from "../panels/cards/ImportCard";
import { PictureIcon } from "../theme/icons";
import type { Tool } from "./tool";

export const tool: Tool = {
  id: "picture", name: "Picture", station: "set-out", order: 10, Icon: PictureIcon, hint: "", needs: "nothing", verb: "", fields: [],
  Card: PictureCard,
};
