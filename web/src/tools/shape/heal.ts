import { drawn, verb } from "../../model/tool";

export const tool = verb({
  id: "heal",
  name: "Heal away",
  key: "Shift H",
  station: "shape",
  section: "Clean up",
  order: 92,
  icon: drawn(["M3 5h18v14H3z", "M12 5v3M12 11v2M12 16v3"]),
  also: "remove dissolve merge",
  hint: "Takes picked edges away, those at picked vertices, or those within picked faces; what is around grows together.",
  needs: "selection",
  takes: ["edge", "vertex", "face"],
  verb: "Heal away",
  fields: {},
  atOnce: true,
  command: (_, { target }) => target && { kind: "heal", ...target },
});
