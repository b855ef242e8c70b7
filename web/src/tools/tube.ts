import { TubeIcon } from "../theme/icons";
import { count, formTool, grip, sharpness, size } from "./forms";

export const tool = formTool({
  id: "tube",
  name: "Tube",
  order: 70,
  Icon: TubeIcon,
  hint: "A closed wall with a hole right through: all quads, all of valence 4.",
  fields: [
    size("outer", "Outer diameter", 40), size("inner", "Inner diameter", 30), size("height", "Height", 30),
    count("around", "Faces around", 8, 3), count("along", "Faces along", 2), count("across", "Faces across the rim", 1),
    sharpness("rim", "Rim sharpness"),
  ],
  form: (v) => ({
    kind: "add-tube", outer: v.outer, inner: v.inner, height: v.height, counts: [v.around, v.along, v.across], rim: v.rim,
  }),
  sizes: (v) => [grip(v, "outer", 0), grip(v, "inner", 1), grip(v, "height", 2)],
});
