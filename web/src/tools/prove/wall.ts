import { drawn } from "../../model/tool";
import { length } from "../shared/fields";
import { proofTool } from "../shared/proof";

export const tool = proofTool({
  id: "prove-wall", name: "Wall", order: 10, section: "Walls",
  icon: drawn(["M5 4c3 5 3 11 0 16", "M11 4c3 5 3 11 0 16", "M8 12h9", "M15 10l2 2-2 2"]),
  also: "thickness thin print cast mould least",
  hint: "Straight inwards from the surface, everywhere: at least so much. Told while you pull, more finely at rest.",
  fields: { least: length("At least", 0.8, { step: 0.1, above: 0 }) },
  kind: "wall",
  make: (v) => ({ kind: "wall", least: v.least }),
  read: (p) => ({ least: p.least }),
});
