import { drawn, verb } from "../../model/tool";
import { bothEnds } from "../shared/ends";
import { parameter } from "../shared/fields";

export const tool = verb({
  id: "zip",
  name: "Zip",
  key: "Shift Z",
  station: "shape",
  section: "Join",
  order: 52,
  icon: drawn(["M5 3c0 7 6 6 7 11", "M19 3c0 7-6 6-7 11", "M12 14v7", "M6.500 8h3M17.500 8h-3"]),
  also: "sew stitch close seam",
  hint: "Two chains of open edges become one, whatever their counts; vertices are added where they are missing.",
  needs: "selection",
  takes: ["edge"],
  eager: true,
  ends: true,
  verb: "Zip",
  then: "move",
  fields: { where: parameter("zip", "where", { keep: true }) },
  command(v, context) {
    const ends = bothEnds(context);
    return ends && { kind: "zip", ...ends, where: v.where };
  },
});
