import { drawn } from "../../model/tool";
import { sculpting } from "../shared/brush";

export const tool = sculpting({
  brush: "mask",
  measure: "share",
  name: "Mask",
  section: "Protect",
  order: 40,
  icon: drawn(["M3 17c5-8 13-8 18 0", "M8 12.500l5-6M11 11.500l5-6M14.500 12l4-5"]),
  hint: "What it darkens is protected from all brushes.",
  also: "protect freeze shield",
});
