import { CapsuleIcon } from "../theme/icons";
import { count, formTool, grip, size } from "./forms";

export const tool = formTool({
  id: "capsule",
  name: "Capsule",
  order: 80,
  Icon: CapsuleIcon,
  hint: "A cylinder with half a sphere at each end; the length is that of the whole.",
  fields: [
    size("diameter", "Diameter", 20), size("length", "Length", 60),
    count("across", "Faces across an end", 2, 2), count("along", "Faces along", 2),
  ],
  form: (v) => ({ kind: "add-capsule", diameter: v.diameter, length: v.length, counts: [v.across, v.along] }),
  sizes: (v) => [grip(v, "diameter", 0), grip(v, "length", 2)],
});
