import { drawn } from "../../model/tool";
import { sculpting } from "../shared/brush";

export const tool = sculpting({
  brush: "smooth",
  measure: "share",
  name: "Smooth",
  section: "Even",
  order: 30,
  icon: drawn(["M2 15c2-3 3-3 5 0s3 3 5 0", "M12 15c3-1.500 6-1.500 10-1.500", "M4 20h16"]),
  hint: "Evens the relief, not the form under it.",
  also: "relax soften blur",
});
