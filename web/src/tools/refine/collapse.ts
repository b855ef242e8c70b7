import { drawn, verb } from "../../model/tool";
import { parameter } from "../shared/fields";

export const tool = verb({
  id: "collapse",
  name: "Collapse",
  key: "Shift U",
  station: "refine",
  section: "Rewire",
  order: 52,
  icon: drawn(["M4 4l5 5M20 4l-5 5M4 20l5-5M20 20l-5-5", "M9 6v3H6M15 6v3h3M9 18v-3H6M15 18v-3h3"], [[12, 12]]),
  also: "merge shrink delete",
  hint: "Draws what hangs together of the picked edges or faces into one vertex. Of a ring each edge goes, and a strip of faces with it.",
  needs: "selection",
  takes: ["edge", "face"],
  eager: true,
  verb: "Collapse",
  fields: { rings: parameter("collapse", "rings", { keep: true }) },
  shown: { rings: (_, { pickKind }) => pickKind === "edge" },
  command: (v, { target }) => target && { kind: "collapse", ...target, rings: v.rings === "yes" && target.picked.kind === "edge" },
});
