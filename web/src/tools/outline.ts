import { OutlineIcon } from "../theme/icons";
import { count, formTool, grip, size } from "./forms";

const circle = (v: Record<string, number>) => v.shape === 0;
const rounded = (v: Record<string, number>) => v.shape === 2;

export const tool = formTool({
  id: "outline",
  name: "Fill outline",
  order: 100,
  Icon: OutlineIcon,
  hint: "Quads within a closed outline; the border's surface passes through it. Drawn ones: see Draw outline.",
  oneSize: true,
  fields: [
    { name: "shape", label: "Outline", unit: "", initial: 0, step: 1, options: ["circle", "ellipse", "rounded rectangle"] },
    size("width", "Width", 40), size("height", "Height", 30, { when: (v) => !circle(v) }),
    size("radius", "Corner radius", 8, { min: 0, when: rounded }),
    count("around", "Faces around", 12, 4), count("rings", "Rings", 1),
  ],
  form: (v) => ({
    kind: "fill-outline",
    outline: circle(v)
      ? { shape: "circle", diameter: v.width }
      : rounded(v)
        ? { shape: "rounded-rectangle", width: v.width, height: v.height, radius: v.radius }
        : { shape: "ellipse", width: v.width, height: v.height },
    around: v.around,
    rings: v.rings,
  }),
  sizes: (v) => [grip(v, "width", 0), ...(circle(v) ? [] : [grip(v, "height", 1)])],
});
