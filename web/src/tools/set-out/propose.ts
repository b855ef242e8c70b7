/** Let quads be proposed for a scan. */
import { card, drawn } from "../../model/tool";

export const tool = card({
  id: "propose", name: "Propose quads", station: "set-out", section: "From a scan", order: 82, also: "scan retopology remesh automatic quads cage", hint: "", card: "ProposeCard",
  icon: drawn(["M5 7c4-3 10-3 14 0v10c-4 3-10 3-14 0z", "M12 5v14M5 12c4-2 10-2 14 0"]),
});
