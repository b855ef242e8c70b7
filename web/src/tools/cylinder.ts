import { CylinderIcon } from "../theme/icons";
import { capsField, capsOf, count, formTool, grip, sharpness, size } from "./forms";

export const tool = formTool({
  id: "cylinder",
  name: "Cylinder",
  key: "y",
  order: 30,
  Icon: CylinderIcon,
  hint: "Caps are quads within a ring, never a fan; they need an even number of faces around.",
  fields: [
    size("diameter", "Diameter", 30), size("height", "Height", 40),
    count("around", "Faces around", 8, 3), count("along", "Faces along", 3),
    capsField,
    { name: "inset", label: "Cap inset", unit: "%", initial: 30, step: 5, min: 1, max: 99, when: (v) => v.caps !== 3 },
    sharpness("rim", "Rim sharpness"),
  ],
  form: (v) => ({
    kind: "add-cylinder", diameter: v.diameter, height: v.height, counts: [v.around, v.along],
    caps: capsOf(v), inset: v.inset / 100, rim: v.rim,
  }),
  sizes: (v) => [grip(v, "diameter", 0), grip(v, "height", 2)],
});
