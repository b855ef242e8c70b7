import { drawn } from "../../model/tool";
import { count, parameter } from "../shared/fields";
import { formTool } from "../shared/forms";

export const tool = formTool({
  id: "cone",
  name: "Cone",
  order: 40,
  icon: drawn(["M9 4.500c0-.8 1.400-1.500 3-1.500s3 .7 3 1.500L20 18c0 1.700-3.500 3-8 3s-8-1.300-8-3z", "M4 18c0-1.700 3.500-3 8-3s8 1.300 8 3"]),
  hint: "With a top diameter it is a truncated cone; with 0 it has a tip.",
  fields: {
    bottom: parameter("add-cone", "bottom", { initial: 40 }),
    top: parameter("add-cone", "top", { initial: 20 }),
    height: parameter("add-cone", "height", { initial: 40 }),
    around: count("Faces around", 8, 3), along: count("Faces along", 2),
    caps: parameter("add-cone", "caps"),
    rim: parameter("add-cone", "rim"),
    tip: parameter("add-cone", "tip"),
  },
  shown: { tip: (v) => v.top === 0 },
  form: (v) => ({
    kind: "add-cone", bottom: v.bottom, top: v.top, height: v.height, counts: [v.around, v.along],
    caps: v.caps, rim: v.rim, tip: v.top === 0 ? v.tip : 0,
  }),
  beads: (_, beads) => [beads.at("bottom", 0), beads.at("height", 2)],
});
