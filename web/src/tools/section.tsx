/** Cut the display open by a plane. */
import { SectionCard } from "../panels/cards/SectionCard";
import { useLook, type Vec } from "../live/look";
import { SectionIcon } from "../theme/icons";
import type { Tool } from "./tool";

export const tool: Tool = {
  id: "section", name: "Section", station: "set-out", order: 40, Icon: SectionIcon, hint: "", needs: "nothing", verb: "", fields: [],
  Card: SectionCard,
  grips: () => {
    const { section } = useLook.getState();
    if (!section) return [];
    const along: Vec = [0, 0, 0];
    along[section.axis] = 1;
    return [{ kind: "grip", field: "at", at: along.map((x) => x * section.at) as Vec, along, gain: 1 }];
  },
  gripped(part, amount) {
    const { section, set } = useLook.getState();
    // The part is the one that was grasped: how far it was dragged counts from there.
    if (section) set({ section: { ...section, at: part.at[section.axis] + amount } });
  },
};
