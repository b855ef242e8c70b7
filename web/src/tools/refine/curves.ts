/** Look at how the form bends, along curves on it. */
import { card, drawn } from "../../model/tool";
import { axisVec, times } from "../../model/vec";
import { grip } from "../shared/placing";

export const tool = card({
  id: "curves", name: "Curves", station: "refine", section: "Look", order: 60, also: "comb curvature highlight section radius", hint: "", card: "CurvesCard",
  icon: drawn(["M3 18C8 6 16 6 21 18", "M6.500 12.500L3.500 9.500M12 9V3.500M17.500 12.500l3-3M9 10.200L7.500 5.500M15 10.200l1.500-4.700"]),
  grips: ({ curveSection: cut }) => (cut ? [grip("at", times(axisVec(cut.axis), cut.at), axisVec(cut.axis))] : []),
  gripped(part, amount, _done, { curveSection: cut }, hands) {
    if (cut) hands.cutCurve({ ...cut, at: part.at[cut.axis] + amount });
  },
});
