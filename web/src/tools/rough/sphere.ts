import { drawn } from "../../model/tool";
import { choice, count, parameter } from "../shared/fields";
import { formTool } from "../shared/forms";

export const tool = formTool({
  id: "sphere",
  name: "Sphere",
  order: 50,
  icon: drawn(["M12 3a9 9 0 1 0 0 18 9 9 0 0 0 0-18z", "M8 8c2-1 6-1 8 0 1 2 1 6 0 8-2 1-6 1-8 0-1-2-1-6 0-8z", "M8 8L5.700 5.700M16 8l2.300-2.300M8 16l-2.300 2.300M16 16l2.300 2.300"]),
  also: "ball round poled turned",
  hint: "Six patches of quads, evenly spread: every vertex has valence 3 or 4. From pole to pole it suits what is turned about an axis.",
  fields: {
    diameter: parameter("add-sphere", "diameter", { initial: 40 }),
    faces: choice("Faces", { patches: "six patches", poles: "rings from pole to pole" }),
    count: parameter("add-sphere", "count"),
    around: count("Faces around", 8, 3), rows: count("Faces pole to pole", 6, 2),
  },
  shown: { count: (v) => v.faces === "patches", around: (v) => v.faces === "poles", rows: (v) => v.faces === "poles" },
  form: (v) =>
    v.faces === "poles" ? { kind: "add-poled-sphere", diameter: v.diameter, counts: [v.around, v.rows] } : { kind: "add-sphere", diameter: v.diameter, count: v.count },
  beads: (_, beads) => [beads.at("diameter", 0)],
});
