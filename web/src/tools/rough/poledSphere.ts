import { drawn } from "../../model/tool";
import { count, parameter } from "../shared/fields";
import { formTool } from "../shared/forms";

export const tool = formTool({
  id: "poled-sphere",
  name: "Poled sphere",
  order: 55,
  icon: drawn(["M12 3a9 9 0 1 0 0 18 9 9 0 0 0 0-18z", "M12 3c-4 3-4 15 0 18 4-3 4-15 0-18z", "M3.500 9.500h17M3.500 14.500h17"]),
  hint: "Rings from pole to pole, for forms that are turned about an axis.",
  fields: {
    diameter: parameter("add-poled-sphere", "diameter", { initial: 40 }),
    around: count("Faces around", 8, 3), rows: count("Faces pole to pole", 6, 2),
  },
  form: (v) => ({ kind: "add-poled-sphere", diameter: v.diameter, counts: [v.around, v.rows] }),
  beads: (_, beads) => [beads.at("diameter", 0)],
});
