import { PoledSphereIcon } from "../theme/icons";
import { count, formTool, grip, size } from "./forms";

export const tool = formTool({
  id: "poled-sphere",
  name: "Poled sphere",
  order: 55,
  Icon: PoledSphereIcon,
  hint: "Rings from pole to pole, for forms that are turned about an axis.",
  fields: [size("diameter", "Diameter", 40), count("around", "Faces around", 8, 3), count("rows", "Faces pole to pole", 6, 2)],
  form: (v) => ({ kind: "add-poled-sphere", diameter: v.diameter, counts: [v.around, v.rows] }),
  sizes: (v) => [grip(v, "diameter", 0)],
});
