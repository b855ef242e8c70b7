import { drawn } from "../../model/tool";
import { count, parameter } from "../shared/fields";
import { formTool } from "../shared/forms";

export const tool = formTool({
  id: "cylinder",
  name: "Cylinder",
  key: "Y",
  order: 30,
  icon: drawn(["M5 6c0-1.700 3-3 7-3s7 1.300 7 3-3 3-7 3-7-1.300-7-3z", "M5 6v12c0 1.700 3 3 7 3s7-1.300 7-3V6"]),
  hint: "Caps are quads within a ring, never a fan; they need an even number of faces around.",
  fields: {
    diameter: parameter("add-cylinder", "diameter", { initial: 30 }),
    height: parameter("add-cylinder", "height", { initial: 40 }),
    around: count("Faces around", 8, 3), along: count("Faces along", 3),
    caps: parameter("add-cylinder", "caps"),
    inset: parameter("add-cylinder", "inset"),
    rim: parameter("add-cylinder", "rim"),
  },
  shown: { inset: (v) => v.caps !== "open" },
  form: (v) => ({
    kind: "add-cylinder", diameter: v.diameter, height: v.height, counts: [v.around, v.along], caps: v.caps, inset: v.inset / 100, rim: v.rim,
  }),
  beads: (_, beads) => [beads.at("diameter", 0), beads.at("height", 2)],
});
