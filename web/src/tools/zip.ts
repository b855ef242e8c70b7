import { ZipIcon } from "../theme/icons";
import { bothEnds } from "./ends";
import type { Tool } from "./tool";

const wheres = ["middle", "first", "second"] as const;

export const tool: Tool = {
  id: "zip",
  name: "Zip",
  key: "z",
  shift: true,
  station: "shape",
  section: "Join",
  order: 52,
  Icon: ZipIcon,
  hint: "Two chains of open edges become one, whatever their counts; vertices are added where they are missing.",
  needs: "selection",
  takes: ["edge"],
  eager: true,
  ends: true,
  verb: "Zip",
  fields: [
    { name: "where", label: "They meet", unit: "", initial: 0, step: 1, keep: true, options: ["in the middle", "on the first chain", "on the second chain"] },
  ],
  command: (v, target) => {
    const ends = bothEnds(target);
    return ends && { kind: "zip", ...ends, where: wheres[v.where] };
  },
};
