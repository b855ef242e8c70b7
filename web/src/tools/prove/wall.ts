import { drawn } from "../../model/tool";
import { choice, length } from "../shared/fields";
import { proofTool } from "../shared/proof";

export const tool = proofTool({
  id: "prove-wall", name: "Wall", order: 10, section: "Walls",
  icon: drawn(["M5 4c3 5 3 11 0 16", "M11 4c3 5 3 11 0 16", "M8 12h9", "M15 10l2 2-2 2"]),
  also: "thickness thin print cast mould least",
  hint: "At least so much everywhere: straight inwards, or by the largest ball inside, which tells how far two sides are apart also where they lean. Told while you pull, more finely once applied.",
  fields: {
    least: length("At least", 0.8, { step: 0.1, above: 0 }),
    by: choice("Measured", { ray: "straight inwards", ball: "by the ball inside" }),
  },
  kind: "wall",
  make: (v) => ({ kind: "wall", least: v.least, by: v.by }),
  read: (p) => ({ least: p.least, by: p.by }),
});
