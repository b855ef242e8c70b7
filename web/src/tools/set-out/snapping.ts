/** Grid and snapping. */
import { card, drawn } from "../../model/tool";

export const tool = card({
  id: "snapping", name: "Grid, snapping", station: "set-out", order: 50, also: "grid step working plane", hint: "", card: "SnapCard",
  icon: drawn(["M3 8h18M3 16h18M8 3v18M16 3v18"], [[16, 8]]),
});
