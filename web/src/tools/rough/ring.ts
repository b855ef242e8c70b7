import type { ValuesOf } from "../../model/fields";
import { drawn } from "../../model/tool";
import { plus } from "../../model/vec";
import { choice, kept, parameter } from "../shared/fields";
import { formTool } from "../shared/forms";

const even = (v: { low?: unknown }) => v.low === "no";
const shouldered = (v: { low?: unknown }) => v.low === "shoulders";
const free = (v: { profile?: unknown }) => v.profile === "free";
const isLink = (v: { shape?: unknown }) => v.shape === "link";
const isRing = (v: { shape?: unknown }) => v.shape !== "link";
const notWire = (v: { profile?: unknown }) => v.profile !== "wire";

const fields = {
  shape: choice("Shape", { ring: "ring", link: "link, jump ring" }),
  wire: parameter("add-link", "wire"),
  length: parameter("add-link", "length"),
  across: parameter("add-link", "width"),
  about: parameter("add-link", "around"),
  bore: parameter("add-ring", "bore"),
  profile: parameter("add-ring", "profile"),
  width: parameter("add-ring", "width"),
  thickness: parameter("add-ring", "thickness"),
  low: choice("Shank", { no: "even", yes: "other below", shoulders: "with shoulders" }),
  low_width: parameter("add-ring", "low_width", { initial: 2.5 }),
  low_thickness: parameter("add-ring", "low_thickness", { initial: 1.5 }),
  shoulder: parameter("add-ring", "shoulder"),
  shoulder_width: parameter("add-ring", "shoulder_width", { initial: 3 }),
  shoulder_thickness: parameter("add-ring", "shoulder_thickness", { initial: 1.6 }),
  shoulder_at: parameter("add-ring", "shoulder_at"),
  // As it begins in the command.
  ridge: kept(0),
  section: kept<[number, number, number][]>([[0.1, 0.85, 0], [0.5, 1, 0], [0.9, 0.7, 0]]),
  around: parameter("add-ring", "around"),
};

const ringOf = (v: ValuesOf<typeof fields>) => ({
  kind: "add-ring", bore: v.bore, profile: v.profile, width: v.width, thickness: v.thickness, around: v.around, shoulder: v.shoulder,
  low_width: even(v) ? null : notWire(v) ? v.low_width : v.low_thickness, low_thickness: even(v) ? null : v.low_thickness,
  ...(shouldered(v) ? { shoulder_width: v.shoulder_width, shoulder_thickness: v.shoulder_thickness, shoulder_at: v.shoulder_at } : {}),
  ...(free(v) ? { section: v.section, ridge: v.ridge } : {}),
});

export const tool = formTool({
  id: "ring",
  name: "Ring",
  order: 61,
  icon: drawn(["M12 4c4.500 0 8 3.500 8 8s-3.500 8-8 8-8-3.500-8-8 3.500-8 8-8z", "M12 7.500c2.500 0 4.500 2 4.500 4.500s-2 4.500-4.500 4.500-4.500-2-4.500-4.500 2-4.500 4.500-4.500z"]),
  also: "band finger bore shank bangle jump link chain size jewelry jewellery",
  hint: "The bore is that of the smooth surface, all round: a length, or a size such as US 7, ISO 54, UK N, JP 14. Its top looks along y. A link goes by its wire and what it measures inside.",
  oneSize: true,
  fields,
  shown: {
    wire: isLink, length: isLink, across: isLink, about: isLink, bore: isRing, profile: isRing, thickness: isRing, low: isRing, around: isRing,
    width: (v) => isRing(v) && notWire(v), low_width: (v) => isRing(v) && !even(v) && notWire(v), low_thickness: (v) => isRing(v) && !even(v),
    shoulder: (v) => isRing(v) && v.low === "yes", shoulder_width: (v) => isRing(v) && shouldered(v) && notWire(v),
    shoulder_thickness: (v) => isRing(v) && shouldered(v), shoulder_at: (v) => isRing(v) && shouldered(v),
  },
  below: "RingSection",
  form: (v) => (isLink(v) ? { kind: "add-link", wire: v.wire, length: v.length, width: v.across, around: v.about } : ringOf(v)),
  beads(v, beads) {
    if (isLink(v)) return [beads.at("length", 1), beads.at("across", 0)];
    const bore = beads.at("bore", 0);
    const out = beads.own(0);
    return [bore, { kind: "grip", field: "thickness", at: plus(bore.at, out, v.thickness), along: out, gain: 1 }];
  },
});
