import { PlaneIcon } from "../theme/icons";
import { count, formTool, grip, size } from "./forms";

export const tool = formTool({
  id: "plane",
  name: "Plane",
  key: "p",
  order: 20,
  Icon: PlaneIcon,
  hint: "An open sheet of faces. Its border holds its place, so the surface is as large as the cage.",
  oneSize: true,
  fields: [size("x", "Size x", 60), size("y", "Size y", 40), count("faces x", "Faces x", 3), count("faces y", "Faces y", 2)],
  form: (v) => ({ kind: "add-plane", size: [v.x, v.y], counts: [v["faces x"], v["faces y"]] }),
  sizes: (v) => ["x", "y"].map((name, k) => grip(v, name, k)),
});
