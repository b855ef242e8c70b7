/** Bring curves in from a file. */
import { card, drawn } from "../../model/tool";

export const tool = card({
  id: "curves-in", name: "Curves from a file", station: "set-out", section: "Into pieces", order: 91, also: "import SVG DXF open drawing paths lines", hint: "", files: [".svg", ".dxf"], card: "CurveInCard",
  icon: drawn(["M3 16c2-9 6-11 9-7s5 3 6-1", "M15 20l3-4 3 4M18 16v6"]),
});
