import { drawn, verb } from "../../model/tool";
import { parameter } from "../shared/fields";
import { reaching } from "../shared/placing";

export const tool = verb({
  id: "push",
  name: "Push",
  key: "Shift P",
  station: "shape",
  section: "Place",
  order: 35,
  icon: drawn(["M3 17c4-5 14-5 18 0", "M12 11V4", "M6.500 12.500L4.500 7", "M17.500 12.500L19.500 7"]),
  also: "offset inflate pull normal",
  hint: "Each vertex goes along its own normal: out when positive, in when negative. Drag the small diamond.",
  needs: "selection",
  takes: ["vertex", "edge", "face"],
  verb: "Push",
  reaches: true,
  fields: { distance: parameter("move-each", "distance") },
  command: (v, context) =>
    context.target && v.distance ? { kind: "move-each", ...context.target, distance: v.distance, ...reaching(context) } : null,
  parts: [{ kind: "normal" }, { kind: "each" }],
  dragged: ({ amount }) => ({ values: { distance: amount }, field: "distance" }),
});
