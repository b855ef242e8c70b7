import { drawn, verb } from "../../model/tool";
import { parameter } from "../shared/fields";

export const tool = verb({
  id: "detach",
  name: "Detach",
  key: "Shift D",
  station: "shape",
  section: "Join",
  order: 60,
  icon: drawn(["M3 4h8v8H3z", "M14 12h7v8h-7z", "M11 15l-3 3"]),
  also: "split separate part copy",
  hint: "Parts the picked faces from the rest.",
  needs: "selection",
  takes: ["face"],
  verb: "Detach",
  fields: { as_piece: parameter("detach", "as_piece", { initial: "yes", keep: true }) },
  command: (v, { target }) => target && { kind: "detach", ...target, as_piece: v.as_piece === "yes" },
});
