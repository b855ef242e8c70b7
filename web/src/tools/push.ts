import { PushIcon } from "../theme/icons";
import { reaching } from "./placing";
import type { Tool } from "./tool";

export const tool: Tool = {
  id: "push",
  name: "Push",
  key: "p",
  shift: true,
  station: "shape",
  section: "Place",
  order: 35,
  Icon: PushIcon,
  hint: "Each vertex goes along its own normal: out when positive, in when negative. Drag the small diamond.",
  needs: "selection",
  takes: ["vertex", "edge", "face"],
  verb: "Push",
  reaches: true,
  fields: [{ name: "distance", label: "Distance", unit: "mm", initial: 0, step: 0.5 }],
  command: (v, target, placing) =>
    target && v.distance ? { kind: "move-each", ...target, distance: v.distance, ...reaching(placing) } : null,
  parts: [{ kind: "normal" }, { kind: "each" }],
  dragged: ({ amount }) => ({ values: { distance: amount }, field: "distance" }),
};
