import { drawn } from "../../model/tool";
import { angle, choice, count, length } from "../shared/fields";
import { growthTool } from "../shared/growth";

export const tool = growthTool({
  id: "pipe",
  name: "Pipe",
  order: 210,
  icon: drawn(["M3 16c4 0 5-9 11-9h4", "M5 20c5 0 6-9 10-9h3", "M18 6.500c1.500 0 2 1.200 2 2.500s-.500 2.500-2 2.500-2-1.200-2-2.500.500-2.500 2-2.500z"]),
  also: "tube wire rod sweep cable",
  hint: "Its surface has the diameter that is asked for. It goes on following its curve: pull the curve's points.",
  verb: "Let it grow",
  fields: {
    diameter: length("Diameter", 2, { step: 0.1, above: 0 }),
    around: count("Faces around", 8, 3, { max: 64 }),
    each: count("Faces a leg", 3, 1, { max: 64 }),
    ends: choice("Ends", { flat: "flat", round: "round", open: "open" }),
    twist: angle("Twist", 0, { more: true }),
  },
  moreWords: "Twist…",
  kind: "pipe",
  curves: [1, 1],
  make: (v, [source]) => ({ kind: "pipe", source, diameter: v.diameter, around: v.around, each: v.each, ends: v.ends, twist: v.twist }),
  read: (g) => ({ diameter: g.diameter, around: g.around, each: g.each, ends: g.ends, twist: g.twist }),
});
