import { drawn } from "../../model/tool";
import { sculpting } from "../shared/brush";

export const tool = sculpting({
  brush: "erase",
  measure: "share",
  name: "Wipe off",
  section: "Even",
  order: 33,
  icon: drawn(["M3 19h18", "M8 15l7-9 5 4-5 6H9z", "M11.500 10.500l5 4"]),
  hint: "Back to the plain surface.",
  also: "erase delete clear relief",
});
