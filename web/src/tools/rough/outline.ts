import { drawn } from "../../model/tool";
import { choice, parameter } from "../shared/fields";
import { formTool, size } from "../shared/forms";

export const tool = formTool({
  id: "outline",
  name: "Fill outline",
  order: 100,
  icon: drawn(["M6 5c5-3 13-2 14 4s-3 11-9 11S1 9 6 5z", "M8 9h7v6H8z", "M8 9L6 5M15 9l4-2M15 15l2 3M8 15l-3 1"]),
  also: "circle ellipse disc patch hole",
  hint: "Quads within a closed outline; the border's surface passes through it. Drawn ones: see Draw outline.",
  oneSize: true,
  fields: {
    shape: choice("Outline", { circle: "circle", ellipse: "ellipse", "rounded-rectangle": "rounded rectangle" }),
    width: size("Width", 40), height: size("Height", 30), radius: size("Corner radius", 8, { min: 0 }),
    around: parameter("fill-outline", "around", { initial: 12, min: 4 }), rings: parameter("fill-outline", "rings"),
  },
  shown: { height: (v) => v.shape !== "circle", radius: (v) => v.shape === "rounded-rectangle" },
  form(v) {
    const { shape, width, height, radius } = v;
    const outline =
      shape === "circle" ? { shape, diameter: width } : shape === "ellipse" ? { shape, width, height } : { shape, width, height, radius };
    return { kind: "fill-outline", outline, around: v.around, rings: v.rings };
  },
  beads: (v, beads) => [beads.at("width", 0), ...(v.shape === "circle" ? [] : [beads.at("height", 1)])],
});
