/** Let the simulated scanner look at a piece. */
import { card, drawn } from "../../model/tool";

export const tool = card({
  id: "scan", name: "Scan a piece", station: "set-out", section: "Scanner", order: 70, also: "simulated scanner noise point cloud", hint: "", card: "ScanCard",
  icon: drawn(["M4 20h16", "M7 16c0-6 10-6 10 0", "M12 3v3M5 5l2 2M19 5l-2 2"]),
});
