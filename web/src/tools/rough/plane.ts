import { planeDrawing } from "../../model/drawings";
import { count } from "../shared/fields";
import { formTool, size } from "../shared/forms";

export const tool = formTool({
  id: "plane",
  name: "Plane",
  key: "P",
  order: 20,
  icon: planeDrawing,
  hint: "An open sheet of faces. Its border holds its place, so the surface is as large as the cage.",
  oneSize: true,
  fields: { x: size("Size x", 60), y: size("Size y", 40), faces_x: count("Faces x", 3), faces_y: count("Faces y", 2) },
  form: (v) => ({ kind: "add-plane", size: [v.x, v.y], counts: [v.faces_x, v.faces_y] }),
  beads: (_, beads) => [beads.at("x", 0), beads.at("y", 1)],
});
