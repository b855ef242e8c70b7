/** The sheet for whoever makes it: drawn, measured and proved, as a page and as PDF. */
import { card, drawn } from "../../model/tool";

export const tool = card({
  id: "proof-sheet", name: "Proof sheet", station: "prove", section: "Hand over", order: 60, also: "pdf print drawing paper page report true size ruler", hint: "", card: "SheetCard",
  icon: drawn(["M6 3h9l4 4v14H6z", "M15 3v4h4", "M9 12h7M9 15h7", "M9 18.500h4"]),
});
