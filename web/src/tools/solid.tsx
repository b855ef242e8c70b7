/** Turn the piece and its followers into a solid: its certificate, STEP and files of triangles. */
import { SolidCard } from "../panels/SolidCard";
import { SolidIcon } from "../theme/icons";
import type { Tool } from "./tool";

export const tool: Tool = {
  id: "solid",
  name: "Solid",
  key: "o",
  station: "make",
  order: 10,
  Icon: SolidIcon,
  hint: "",
  needs: "piece",
  verb: "Make",
  fields: [],
  Card: SolidCard,
};
