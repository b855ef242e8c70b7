import { drawn } from "../../model/tool";
import { choice, length } from "../shared/fields";
import { proofTool } from "../shared/proof";

/** Least walls by how it is made, in mm: common practice, no source. The number can be changed. */
const made = { filament: 1.2, resin: 0.8, powder: 0.8, metal: 0.5, cast: 0.8, wax: 0.6, moulded: 1.5 } as const;

export const tool = proofTool({
  id: "prove-wall", name: "Wall", order: 10, section: "Walls",
  icon: drawn(["M5 4c3 5 3 11 0 16", "M11 4c3 5 3 11 0 16", "M8 12h9", "M15 10l2 2-2 2"]),
  also: "thickness thin print cast mould least",
  hint: "At least so much everywhere: straight inwards, or by the largest ball inside, which tells how far two sides are apart also where they lean. Told while you pull, more finely once applied.",
  fields: {
    made: choice("For", {
      own: "a number typed", filament: "printed, filament", resin: "printed, resin", powder: "printed, powder", metal: "printed, metal", cast: "cast metal", wax: "printed wax", moulded: "moulded plastic",
    }),
    least: length("At least", 0.8, { step: 0.1, above: 0 }),
    by: choice("Measured", { ray: "straight inwards", ball: "by the ball inside" }),
  },
  // The process gives the number; another number is a number typed.
  typed: (v, field) => (field === "made" && v.made !== "own" ? { ...v, least: made[v.made] } : field === "least" ? { ...v, made: "own" } : v),
  mends: { tool: "push", picks: "face", follower: "hollow" },
  kind: "wall", ofBody: true,
  make: (v) => ({ kind: "wall", least: v.least, by: v.by }),
  read: (p) => ({ made: "own", least: p.least, by: p.by }),
});
