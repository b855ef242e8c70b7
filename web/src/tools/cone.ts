import { ConeIcon } from "../theme/icons";
import { capsField, capsOf, count, formTool, grip, sharpness, size } from "./forms";

export const tool = formTool({
  id: "cone",
  name: "Cone",
  order: 40,
  Icon: ConeIcon,
  hint: "With a top diameter it is a truncated cone; with 0 it has a tip.",
  fields: [
    size("bottom", "Bottom diameter", 40), size("top", "Top diameter", 20, { min: 0 }), size("height", "Height", 40),
    count("around", "Faces around", 8, 3), count("along", "Faces along", 2),
    capsField,
    sharpness("rim", "Rim sharpness"),
    sharpness("tip", "Tip sharpness", { when: (v) => v.top === 0 }),
  ],
  form: (v) => ({
    kind: "add-cone", bottom: v.bottom, top: v.top, height: v.height, counts: [v.around, v.along],
    caps: capsOf(v), rim: v.rim, tip: v.top === 0 ? v.tip : 0,
  }),
  sizes: (v) => [grip(v, "bottom", 0), grip(v, "height", 2)],
});
