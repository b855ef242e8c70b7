import { drawn } from "../../model/tool";
import { plus } from "../../model/vec";
import { choice, parameter } from "../shared/fields";
import { formTool } from "../shared/forms";

const even = (v: { low?: unknown }) => v.low !== "yes";
const notWire = (v: { profile?: unknown }) => v.profile !== "wire";

export const tool = formTool({
  id: "ring",
  name: "Ring",
  order: 61,
  icon: drawn(["M12 4c4.500 0 8 3.500 8 8s-3.500 8-8 8-8-3.500-8-8 3.500-8 8-8z", "M12 7.500c2.500 0 4.500 2 4.500 4.500s-2 4.500-4.500 4.500-4.500-2-4.500-4.500 2-4.500 4.500-4.500z"]),
  also: "band finger bore shank bangle jump size jewelry jewellery",
  hint: "The bore is that of the smooth surface, all round: mm, or a size such as US 7, ISO 54, UK N, JP 14. Its top looks along y.",
  oneSize: true,
  fields: {
    bore: parameter("add-ring", "bore"),
    profile: parameter("add-ring", "profile"),
    width: parameter("add-ring", "width"),
    thickness: parameter("add-ring", "thickness"),
    low: choice("Shank", { no: "even", yes: "other below" }),
    low_width: parameter("add-ring", "low_width", { initial: 2.5 }),
    low_thickness: parameter("add-ring", "low_thickness", { initial: 1.5 }),
    shoulder: parameter("add-ring", "shoulder"),
    around: parameter("add-ring", "around"),
  },
  shown: {
    width: notWire, low_width: (v) => !even(v) && notWire(v), low_thickness: (v) => !even(v), shoulder: (v) => !even(v),
  },
  form: (v) => ({
    kind: "add-ring", bore: v.bore, profile: v.profile, width: v.width, thickness: v.thickness, around: v.around,
    low_width: even(v) ? null : v.profile === "wire" ? v.low_thickness : v.low_width, low_thickness: even(v) ? null : v.low_thickness, shoulder: v.shoulder,
  }),
  beads(v, beads) {
    const bore = beads.at("bore", 0);
    const out = beads.own(0);
    return [bore, { kind: "grip", field: "thickness", at: plus(bore.at, out, v.thickness), along: out, gain: 1 }];
  },
});
