/** Put up a stand to show a piece on. */
import { card, drawn } from "../../model/tool";

export const tool = card({
  id: "stand", name: "Stand", station: "prove", section: "Hand over", order: 60.5, also: "show display ring cone mandrel finger hand neck bust table block hook", hint: "", card: "StandCard",
  icon: drawn(["M6 20h12", "M12 20V9", "M9 9l1-5h4l1 5z"]),
});
