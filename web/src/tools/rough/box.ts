import { boxDrawing } from "../../model/drawings";
import { count } from "../shared/fields";
import { formTool, size } from "../shared/forms";

export const tool = formTool({
  id: "box",
  name: "Box",
  key: "B",
  order: 10,
  icon: boxDrawing,
  hint: "Drag the beads or type. Few faces hold a form best.",
  fields: {
    x: size("Size x", 40), y: size("Size y", 30), z: size("Size z", 20),
    faces_x: count("Faces x", 2), faces_y: count("Faces y", 2), faces_z: count("Faces z", 1),
  },
  form: (v) => ({ kind: "add-box", size: [v.x, v.y, v.z], counts: [v.faces_x, v.faces_y, v.faces_z] }),
  beads: (_, beads) => [beads.at("x", 0), beads.at("y", 1), beads.at("z", 2)],
});
