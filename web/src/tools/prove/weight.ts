import { drawn } from "../../model/tool";
import { number, list } from "../shared/fields";
import { proofTool } from "../shared/proof";

const materials = ["Silver, 925 with copper", "Gold, 750 with silver and copper alike", "Gold, 585 yellow", "Platinum, 950 with ruthenium", "Brass, 63 % copper", "Bronze, 92 % copper", "Titanium", "Aluminium", "Polyamide 12", "Polylactide (PLA)", "Beech wood"];

export const tool = proofTool({
  id: "prove-weight", name: "Weight", order: 23, section: "Sizes",
  icon: drawn(["M5 20l2-11h10l2 11z", "M9.500 9c-1.500-5 6.500-5 5 0"]),
  also: "mass grams heavy light material",
  hint: "In a material at most so heavy, by its volume.",
  fields: { most: number("At most, grams", 10, { step: 0.5, above: 0 }), material: list("In", () => materials.map((name) => ({ id: name, words: name }))) },
  mends: { tool: "hollow", picks: "piece" },
  kind: "weight", ofBody: true,
  make: (v) => ({ kind: "weight", most: v.most, material: v.material || materials[0] }),
  read: (p) => ({ most: p.most, material: p.material }),
});
