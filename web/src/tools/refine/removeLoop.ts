import { drawn, verb } from "../../model/tool";
import { parameter } from "../shared/fields";

export const tool = verb({
  id: "remove",
  name: "Remove",
  key: "Shift Delete",
  station: "refine",
  section: "Loops",
  order: 12,
  icon: drawn(["M5 7c0-2 3.500-3.500 7-3.500S19 5 19 7s-3.500 3.500-7 3.500S5 9 5 7z", "M5 7v11c0 1.500 3 2.500 7 2.500s7-1 7-2.500V7", "M6 14.500l1.500.7M10.500 16h3M16.500 15.200l1.500-.7"]),
  also: "delete dissolve edge",
  hint: "Takes loops, edges or vertices away; the faces around grow together and stay whole.",
  needs: "selection",
  takes: ["edge", "vertex"],
  eager: true,
  verb: "Remove",
  fields: {
    loops: parameter("remove", "loops", { keep: true }),
    form: parameter("remove", "form", { initial: "hold", keep: true }),
  },
  command: (v, { target }) =>
    target && { kind: "remove", ...target, loops: v.loops === "yes" && target.picked.kind === "edge", form: v.form },
});
