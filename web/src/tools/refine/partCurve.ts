import { drawn, verb } from "../../model/tool";

export const tool = verb({
  id: "part-curve",
  name: "Part curve",
  station: "refine",
  section: "Curves",
  order: 56,
  icon: drawn(["M3 17c2-6 4-8 7-7", "M14 12c3 1 5-1 7-6", "M11 5l2 4M11 14l2 4"]),
  also: "split cut open divide",
  hint: "At one control point: an open curve becomes two, a closed one is opened there.",
  needs: "selection",
  takes: ["vertex"],
  verb: "Part",
  fields: {},
  missing: ({ piece, pickKind, picked }) => (piece?.curve && pickKind === "vertex" && picked.length === 1 ? null : "Pick one control point of a curve first (V)."),
  eager: true,
  then: "move",
  command: (_, { target }) => target && { kind: "part-curve", piece: target.piece, picked: target.picked },
});
