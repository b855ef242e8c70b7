import { DeleteIcon } from "../theme/icons";
import type { Tool } from "./tool";

export const tool: Tool = {
  id: "delete",
  name: "Delete",
  key: "Delete",
  station: "shape",
  section: "Clean up",
  order: 91,
  Icon: DeleteIcon,
  hint: "Deletes the picked faces, or those around picked edges and vertices.",
  needs: "selection",
  verb: "Delete",
  fields: [],
  atOnce: true,
  command: (_, target) => target && { kind: "delete", ...target },
};
