import { useBench } from "../live/bench";
import { SplitIcon } from "../theme/icons";
import { count } from "./forms";
import type { Tool } from "./tool";

export const tool: Tool = {
  id: "split",
  name: "Split",
  key: "q",
  shift: true,
  station: "refine",
  section: "Loops",
  order: 14,
  Icon: SplitIcon,
  hint: "Parts picked faces into a grid, or picked edges into equal parts. Faces beside them gain corners.",
  needs: "selection",
  takes: ["face", "edge"],
  eager: true,
  verb: "Split",
  fields: [
    { ...count("along", "Into", 2), max: 64, keep: true },
    { ...count("across", "by", 2), max: 64, keep: true, when: () => useBench.getState().pickKind === "face" },
  ],
  command: (v, target) => target && { kind: "split", ...target, along: v.along, across: v.across },
};
