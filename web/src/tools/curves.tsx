/** Look at how the form bends, along curves on it. */
import { CurvesCard } from "../panels/cards/CurvesCard";
import { useBench } from "../live/bench";
import { useCurves } from "../live/curves";
import type { Vec } from "../live/look";
import { CurvesIcon } from "../theme/icons";
import type { Tool } from "./tool";

export const tool: Tool = {
  id: "curves", name: "Curves", station: "refine", section: "Look", order: 60, Icon: CurvesIcon, hint: "", needs: "nothing", verb: "", fields: [],
  Card: CurvesCard,
  grips: () => {
    const { section } = useCurves.getState();
    if (!section) return [];
    const along: Vec = [0, 0, 0];
    along[section.axis] = 1;
    return [{ kind: "grip", field: "at", at: along.map((x) => x * section.at) as Vec, along, gain: 1 }];
  },
  gripped(part, amount) {
    const { section, set } = useCurves.getState();
    if (!section) return;
    set({ section: { ...section, at: part.at[section.axis] + amount } });
    useBench.getState().bend();
  },
};
