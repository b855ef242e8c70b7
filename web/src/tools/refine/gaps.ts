/** How near pieces come to one another, also while they are pulled. */
import { card, drawn } from "../../model/tool";

export const tool = card({
  id: "gaps", name: "Gaps…", station: "refine", section: "Look", order: 61, also: "clearance distance between pieces touch overlap collide", hint: "", card: "GapsCard",
  icon: drawn(["M4 5c5 3 5 11 0 14", "M20 5c-5 3-5 11 0 14", "M10 12h4", "M10.500 10.500L9 12l1.500 1.500M13.500 10.500L15 12l-1.500 1.500"]),
});
