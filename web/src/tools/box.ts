import { BoxIcon } from "../theme/icons";
import { count, formTool, grip, size } from "./forms";

export const tool = formTool({
  id: "box",
  name: "Box",
  key: "b",
  order: 10,
  Icon: BoxIcon,
  hint: "Drag the beads or type. Few faces hold a form best.",
  fields: [
    size("x", "Size x", 40), size("y", "Size y", 30), size("z", "Size z", 20),
    count("faces x", "Faces x", 2), count("faces y", "Faces y", 2), count("faces z", "Faces z", 1),
  ],
  form: (v) => ({ kind: "add-box", size: [v.x, v.y, v.z], counts: [v["faces x"], v["faces y"], v["faces z"]] }),
  sizes: (v) => ["x", "y", "z"].map((name, k) => grip(v, name, k)),
});
