/** Cut the display open by a plane. */
import { card, drawn } from "../../model/tool";
import { axisVec, times } from "../../model/vec";
import { grip } from "../shared/placing";

export const tool = card({
  id: "section", name: "Section", station: "set-out", order: 40, also: "cut slice look inside", hint: "", card: "SectionCard",
  icon: drawn(["M12 4a8 8 0 0 0 0 16", "M12 2v20", "M15 6.500l4 2M15 11h5M15 16l4-1.500"]),
  grips: ({ section }) => (section ? [grip("at", times(axisVec(section.axis), section.at), axisVec(section.axis))] : []),
  gripped(part, amount, _done, { section }, hands) {
    // The part is the one that was grasped: how far it was dragged counts from there.
    if (section) hands.cut({ ...section, at: part.at[section.axis] + amount });
  },
});
