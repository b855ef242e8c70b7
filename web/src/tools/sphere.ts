import { SphereIcon } from "../theme/icons";
import { count, formTool, grip, size } from "./forms";

export const tool = formTool({
  id: "sphere",
  name: "Sphere",
  order: 50,
  Icon: SphereIcon,
  hint: "Six patches of quads, evenly spread: every vertex has valence 3 or 4.",
  fields: [size("diameter", "Diameter", 40), count("count", "Faces across a patch", 2)],
  form: (v) => ({ kind: "add-sphere", diameter: v.diameter, count: v.count }),
  sizes: (v) => [grip(v, "diameter", 0)],
});
