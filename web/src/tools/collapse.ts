import { CollapseIcon } from "../theme/icons";
import { useBench } from "../live/bench";
import type { Tool } from "./tool";

export const tool: Tool = {
  id: "collapse",
  name: "Collapse",
  key: "u",
  shift: true,
  station: "refine",
  section: "Rewire",
  order: 52,
  Icon: CollapseIcon,
  hint: "Draws what hangs together of the picked edges or faces into one vertex. Of a ring each edge goes, and a strip of faces with it.",
  needs: "selection",
  takes: ["edge", "face"],
  eager: true,
  verb: "Collapse",
  fields: [
    { name: "rings", label: "Takes", unit: "", initial: 0, step: 1, keep: true, options: ["the picked", "their whole rings"], when: () => useBench.getState().pickKind === "edge" },
  ],
  command: (v, target) => target && { kind: "collapse", ...target, rings: v.rings === 1 && target.picked.kind === "edge" },
};
