import { drawn } from "../../model/tool";
import { sculpting } from "../shared/brush";

export const tool = sculpting({
  brush: "draw",
  measure: "height",
  name: "Draw out",
  section: "Raise",
  order: 10,
  icon: drawn(["M2 18h4c3 0 3-9 6-9s3 9 6 9h4", "M12 6V2M10.200 3.800L12 2l1.800 1.800"]),
  hint: "Raises the surface along a stroke, to its height however slow the hand is.",
  also: "press in push relief bump spike",
  opens: true,
  stamped: true,
});
