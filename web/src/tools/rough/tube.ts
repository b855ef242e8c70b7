import { drawn } from "../../model/tool";
import { count, parameter } from "../shared/fields";
import { formTool } from "../shared/forms";

export const tool = formTool({
  id: "tube",
  name: "Tube",
  order: 70,
  icon: drawn(["M4 7c0-2 3.500-3.500 8-3.500s8 1.500 8 3.500-3.500 3.500-8 3.500S4 9 4 7z", "M8.500 7c0-.8 1.500-1.400 3.500-1.400s3.500.6 3.500 1.400-1.500 1.400-3.500 1.400S8.500 7.800 8.500 7z", "M4 7v10c0 2 3.500 3.500 8 3.500s8-1.500 8-3.500V7"]),
  also: "pipe ring hole",
  hint: "A closed wall with a hole right through: all quads, all of valence 4.",
  fields: {
    outer: parameter("add-tube", "outer", { initial: 40 }), inner: parameter("add-tube", "inner", { initial: 30 }),
    height: parameter("add-tube", "height", { initial: 30 }),
    around: count("Faces around", 8, 3), along: count("Faces along", 2), across: count("Faces across the rim", 1),
    rim: parameter("add-tube", "rim"),
  },
  form: (v) => ({
    kind: "add-tube", outer: v.outer, inner: v.inner, height: v.height, counts: [v.around, v.along, v.across], rim: v.rim,
  }),
  beads: (_, beads) => [beads.at("outer", 0), beads.at("inner", 1), beads.at("height", 2)],
});
