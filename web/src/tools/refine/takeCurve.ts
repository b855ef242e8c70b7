import { drawn, verb } from "../../model/tool";

export const tool = verb({
  id: "take-curve",
  name: "Curve from edges",
  station: "refine",
  section: "Curves",
  order: 55,
  icon: drawn(["M4 8l8-4 8 4v8l-8 4-8-4z", "M4 8c5 3 11 3 16 0"]),
  also: "extract border chain loop edge",
  hint: "Of picked edges, or round picked faces: along borders and hard creases the surface's own line, elsewhere through the surface.",
  needs: "selection",
  takes: ["edge", "face"],
  eager: true,
  then: "move",
  verb: "Take",
  fields: {},
  command: (_, { target }) => target && { kind: "take-curve", piece: target.piece, picked: target.picked, name: "Curve" },
});
