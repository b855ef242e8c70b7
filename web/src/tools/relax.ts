import { RelaxIcon } from "../theme/icons";
import { count } from "./forms";
import type { Tool } from "./tool";

export const tool: Tool = {
  id: "relax",
  name: "Relax",
  key: "v",
  shift: true,
  station: "refine",
  section: "Along the cage",
  order: 42,
  Icon: RelaxIcon,
  hint: "Evens out the cage within the form. Borders and creases keep their lines, corners stay.",
  needs: "selection",
  eager: true,
  verb: "Relax",
  fields: [
    { ...count("rounds", "Rounds", 5), max: 100, keep: true },
    { name: "strength", label: "Strength", unit: "%", initial: 50, step: 10, min: 1, max: 100, keep: true },
    { name: "form", label: "Surface", unit: "", initial: 0, step: 1, keep: true, options: ["hold form", "as it falls"] },
  ],
  command: (v, target) =>
    target && { kind: "relax", ...target, rounds: v.rounds, strength: v.strength / 100, hold: v.form === 0 },
};
