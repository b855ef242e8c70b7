import { drawn, verb } from "../../model/tool";
import { choice } from "../shared/fields";

export const tool = verb({
  id: "change-mask",
  name: "Change mask",
  station: "relief",
  section: "Protect",
  order: 41,
  icon: drawn(["M3 17c5-8 13-8 18 0", "M4 20.500h16M17.500 18.500l2.500 2-2.500 2"]),
  also: "invert blur grow clear protect",
  hint: "What is protected, of the whole piece: turned round, blurred, grown by a row of points, or all of it freed.",
  needs: "piece",
  eager: true,
  verb: "Change",
  fields: { way: choice("Way", { invert: "invert", blur: "blur", grow: "grow", clear: "clear" }, { keep: true }) },
  missing: ({ piece }) => (piece?.relief ? undefined : "This piece has no relief yet: draw on it first."),
  command: (v, { piece }) => piece?.relief ? { kind: "change-mask", piece: piece.id, way: v.way, level: piece.relief.depth } : null,
});
