/** Curves as a file. */
import { card, drawn } from "../../model/tool";

export const tool = card({
  id: "curve-file", name: "Curve file", station: "make", order: 19, also: "export SVG DXF STEP lines laser cut", hint: "", card: "CurveFileCard",
  icon: drawn(["M3 16c2-9 6-11 9-7s5 3 6-1", "M15 16l3 4 3-4M18 20v-6"]),
});
