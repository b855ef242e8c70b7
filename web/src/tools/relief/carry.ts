import { drawn } from "../../model/tool";
import { sculpting } from "../shared/brush";

export const tool = sculpting({
  brush: "carry",
  measure: "way",
  name: "Carry",
  section: "Move",
  order: 20,
  icon: drawn(["M2 18h4c3 0 5-9 9-10", "M15 8c-1 4 1 9 4 10h3", "M17 4l3 0M18.500 2.500L20 4l-1.500 1.500"]),
  hint: "Takes along what lies under it where the stroke begins.",
  also: "move grab drag pull",
  drags: true,
});
