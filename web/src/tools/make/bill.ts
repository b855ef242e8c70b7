/** What the design is made of. */
import { card, drawn } from "../../model/tool";

export const tool = card({
  id: "bill", name: "Bill", station: "make", section: "Hand over", order: 72, also: "weight carat metal wax stones list csv cost", hint: "", card: "BillCard",
  icon: drawn(["M6 3h12v18l-3-2-3 2-3-2-3 2z", "M9 8h6M9 12h6"]),
});
