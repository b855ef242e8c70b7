/** Whether the body can be cast or printed in metal. */
import { card, drawn } from "../../model/tool";

export const tool = card({
  id: "casting", name: "Casting", station: "make", section: "Hand over", order: 71, also: "proof wall prong gap hollow wax metal", hint: "", card: "CastingCard",
  icon: drawn(["M5 9h14l-2 11H7z", "M9 9V5h6v4", "M9 14h6"]),
});
