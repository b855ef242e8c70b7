import { drawn } from "../../model/tool";
import { sculpting } from "../shared/brush";

export const tool = sculpting({
  brush: "pinch",
  measure: "share",
  name: "Pinch",
  section: "Move",
  order: 22,
  icon: drawn(["M2 18h6c3 0 3-8 4-8s1 8 4 8h6", "M3 8h4M5.500 6.500L7 8 5.500 9.500M21 8h-4M18.500 6.500L17 8l1.500 1.500"]),
  hint: "Draws points together within the surface: ridges get sharper.",
  also: "spread tighten sharpen",
});
