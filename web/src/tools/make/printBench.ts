/** Hand the body to the simulated print bench. */
import { card, drawn } from "../../model/tool";

export const tool = card({
  id: "print-bench", name: "Print bench", station: "make", section: "Hand over", order: 70, also: "export print STL slice support", hint: "", card: "PrintBenchCard",
  icon: drawn(["M4 20h16", "M7 16.500h10M7.500 13.500h9M8.500 10.500h7", "M12 3v4M10 5.500L12 7.500l2-2"]),
});
