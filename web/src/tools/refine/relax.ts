import { drawn, verb } from "../../model/tool";
import { parameter } from "../shared/fields";

export const tool = verb({
  id: "relax",
  name: "Relax",
  key: "Shift V",
  station: "refine",
  section: "Along the cage",
  order: 42,
  icon: drawn(["M3 8c3-3 5 3 9 0s6 2 9 0", "M3 15c4-1 14-1 18 0", "M7 19h10"]),
  also: "smooth even out fair",
  hint: "Evens out the cage within the form. Borders and creases keep their lines, corners stay. A curve is smoothed as it falls.",
  needs: "selection",
  eager: true,
  verb: "Relax",
  fields: {
    rounds: parameter("relax", "rounds", { keep: true }),
    strength: parameter("relax", "strength", { keep: true }),
    hold: parameter("relax", "hold", { keep: true }),
  },
  command: (v, { target }) =>
    target && { kind: "relax", ...target, rounds: v.rounds, strength: v.strength / 100, hold: v.hold === "yes" },
});
