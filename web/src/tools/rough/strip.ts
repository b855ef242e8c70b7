import { drawn } from "../../model/tool";
import { count, length } from "../shared/fields";
import { growthTool } from "../shared/growth";

export const tool = growthTool({
  id: "strip",
  name: "Strip",
  order: 215,
  icon: drawn(["M3 9c4-6 7 3 11 0s4-3 7-2", "M3 17c4-6 7 3 11 0s4-3 7-2", "M3 9v8", "M21 7v8"]),
  also: "extrude curve ribbon band wall draw out",
  hint: "The curve drawn out by a way, or with two curves picked across from one to the other.",
  verb: "Let it grow",
  fields: {
    x: length("By x", 0),
    y: length("By y", 0),
    z: length("By z", 10),
    count: count("Faces across", 1, 1, { max: 200 }),
  },
  kind: "strip",
  curves: [1, 2],
  make: (v, [source, other]) => ({ kind: "strip", source, other: other ?? "", by: [v.x, v.y, v.z], count: v.count }),
  read(g) {
    const [x, y, z] = g.by ?? [0, 0, 10];
    return { x, y, z, count: g.count };
  },
});
