import { drawn, verb } from "../../model/tool";
import { parameter } from "../shared/fields";

export const tool = verb({
  id: "split",
  name: "Split",
  key: "Shift Q",
  station: "refine",
  section: "Loops",
  order: 14,
  icon: drawn(["M3 5h18v14H3z", "M9 5v14M15 5v14M3 12h18"]),
  also: "subdivide divide cut",
  hint: "Parts picked faces into a grid, or picked edges into equal parts. Faces beside them gain corners.",
  needs: "selection",
  takes: ["face", "edge"],
  eager: true,
  verb: "Split",
  fields: { along: parameter("split", "along", { keep: true }), across: parameter("split", "across", { keep: true }) },
  shown: { across: (_, { pickKind }) => pickKind === "face" },
  command: (v, { target }) => target && { kind: "split", ...target, along: v.along, across: v.across },
});
