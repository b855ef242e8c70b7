import { drawn } from "../../model/tool";
import { sculpting } from "../shared/brush";

export const tool = sculpting({
  brush: "groove",
  measure: "height",
  name: "Groove",
  section: "Raise",
  order: 12,
  icon: drawn(["M2 10h6c2.500 0 3 3 4 9 1-6 1.500-9 4-9h6", "M7 6h3M17 6h-3"]),
  hint: "Draws a tight groove, its sides drawn together; its opposite is a ridge.",
  also: "crease line ridge cut",
});
