import { drawn, verb } from "../../model/tool";
import { parameter } from "../shared/fields";

export const tool = verb({
  id: "spin",
  name: "Spin",
  key: "Shift Y",
  station: "refine",
  section: "Rewire",
  order: 50,
  icon: drawn(["M4 5h16v14H4z", "M4 5l16 14", "M15 6.500c2 .7 3 2 3.500 4M18.800 7.500l-.2 3.200-3-.8"]),
  also: "rotate edge turn diagonal",
  hint: "Turns the picked edge on to the next corners of its two faces.",
  needs: "selection",
  takes: ["edge"],
  eager: true,
  verb: "Spin",
  fields: { backwards: parameter("spin", "backwards", { keep: true }) },
  command: (v, { target }) => target && { kind: "spin", ...target, backwards: v.backwards === "yes" },
});
