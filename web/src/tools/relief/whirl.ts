import { drawn } from "../../model/tool";
import { sculpting } from "../shared/brush";

export const tool = sculpting({
  brush: "twist",
  measure: "angle",
  name: "Whirl",
  section: "Move",
  order: 21,
  icon: drawn(["M12 12c0-3 5-3 5 1s-6 6-9 2 0-11 6-10 7 6 6 9", "M19.600 16l.600-2.200 2 1"]),
  hint: "Turns what lies under it about its normal as the hand moves off, by all of its angle at a radius.",
  also: "twist swirl turn",
  drags: true,
});
