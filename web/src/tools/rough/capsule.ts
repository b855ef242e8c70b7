import { drawn } from "../../model/tool";
import { count, parameter } from "../shared/fields";
import { formTool } from "../shared/forms";

export const tool = formTool({
  id: "capsule",
  name: "Capsule",
  order: 80,
  icon: drawn(["M7 8a5 5 0 0 1 10 0v8a5 5 0 0 1-10 0z", "M7 8c1.500 1.500 8.500 1.500 10 0M7 16c1.500 1.500 8.500 1.500 10 0"]),
  hint: "A cylinder with half a sphere at each end; the length is that of the whole.",
  fields: {
    diameter: parameter("add-capsule", "diameter", { initial: 20 }), length: parameter("add-capsule", "length", { initial: 60 }),
    across: count("Faces across an end", 2, 2), along: count("Faces along", 2),
  },
  form: (v) => ({ kind: "add-capsule", diameter: v.diameter, length: v.length, counts: [v.across, v.along] }),
  beads: (_, beads) => [beads.at("diameter", 0), beads.at("length", 2)],
});
