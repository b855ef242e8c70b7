import { drawn, verb } from "../../model/tool";
import { parameter } from "../shared/fields";

export const tool = verb({
  id: "straighten",
  name: "Straighten",
  station: "refine",
  section: "Along the cage",
  order: 46,
  icon: drawn(["M3 15c3-6 5 2 9-3s6-4 9-3", "M3 20h18"], [[3, 20], [12, 20], [21, 20]]),
  also: "align line",
  hint: "Slides the vertices of each picked loop along the cage until it lies in one plane.",
  needs: "selection",
  takes: ["edge", "vertex", "face"],
  eager: true,
  verb: "Straighten",
  fields: { share: parameter("straighten", "share", { slider: true }) },
  command: (v, { target }) => target && { kind: "straighten", ...target, share: v.share / 100 },
});
