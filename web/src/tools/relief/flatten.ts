import { drawn } from "../../model/tool";
import { sculpting } from "../shared/brush";

export const tool = sculpting({
  brush: "flatten",
  measure: "share",
  name: "Flatten out",
  section: "Even",
  order: 31,
  icon: drawn(["M2 18c3 0 3-6 5-6h10c2 0 2 6 5 6", "M12 3v5M10.200 6.200L12 8l1.800-1.800"]),
  hint: "Towards the mean plane under the brush.",
  also: "plane level",
});
