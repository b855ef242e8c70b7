import { drawn, verb } from "../../model/tool";
import { parameter } from "../shared/fields";

export const tool = verb({
  id: "fill",
  name: "Fill",
  key: "Shift F",
  station: "shape",
  section: "Join",
  order: 56,
  icon: drawn(["M12 3c5 0 9 4 9 9s-4 9-9 9-9-4-9-9 4-9 9-9z", "M8 4.500v15M16 4.500v15M4 9h16M4 15h16"]),
  also: "close hole cap patch",
  hint: "One open edge or vertex of a hole is enough: the whole hole is filled.",
  needs: "selection",
  takes: ["edge", "vertex", "face"],
  eager: true,
  verb: "Fill",
  then: "move",
  fields: {
    way: parameter("fill", "way", { keep: true }),
    rings: parameter("fill", "rings", { keep: true }),
    turned: parameter("fill", "turned"),
  },
  shown: { rings: (v) => v.way === "rings", turned: (v) => v.way !== "face" },
  command: (v, { target }) => target && { kind: "fill", ...target, way: v.way, rings: v.rings, turned: v.turned },
});
