import { spaceDrawing } from "../../model/drawings";
import { verb } from "../../model/tool";
import { parameter } from "../shared/fields";

export const tool = verb({
  id: "space-evenly",
  name: "Space evenly",
  station: "refine",
  section: "Along the cage",
  order: 44,
  icon: spaceDrawing,
  also: "distribute equal even",
  hint: "Sets the vertices of each picked loop or chain at even distances; the ends of a chain stay.",
  needs: "selection",
  takes: ["edge", "vertex", "face"],
  eager: true,
  verb: "Space evenly",
  fields: { share: parameter("space-evenly", "share", { slider: true }) },
  command: (v, { target }) => target && { kind: "space-evenly", ...target, share: v.share / 100 },
});
