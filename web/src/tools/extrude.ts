import { ExtrudeIcon } from "../theme/icons";
import type { Tool } from "./tool";

export const tool: Tool = {
  id: "extrude",
  name: "Extrude",
  key: "x",
  station: "shape",
  order: 40,
  Icon: ExtrudeIcon,
  hint: "Drag the arrow or type a distance. The moved faces stay picked: apply again to go on.",
  needs: "faces",
  verb: "Extrude",
  fields: [{ name: "distance", label: "Distance", unit: "mm", initial: 10, step: 1, keep: true }],
  command: (v, target) => (target && v.distance ? { kind: "extrude", ...target, distance: v.distance } : null),
  parts: [{ kind: "normal" }],
  dragged: ({ amount }) => ({ values: { distance: amount }, field: "distance" }),
};
