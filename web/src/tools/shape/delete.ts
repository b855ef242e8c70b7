import { drawn, verb } from "../../model/tool";

export const tool = verb({
  id: "delete",
  name: "Delete",
  key: "Delete",
  station: "shape",
  section: "Clean up",
  order: 91,
  icon: drawn(["M5 6l14 13", "M19 6L5 19"]),
  also: "remove hole open",
  hint: "Deletes the picked faces, or those around picked edges and vertices.",
  needs: "selection",
  verb: "Delete",
  fields: {},
  atOnce: true,
  command: (_, { target }) => target && { kind: "delete", ...target },
});
