import { PlaneIcon } from "../theme/icons";
import type { Tool } from "./tool";

export const tool: Tool = {
  id: "plane",
  name: "Plane",
  key: "p",
  station: "rough",
  order: 20,
  Icon: PlaneIcon,
  hint: "An open sheet of faces that looks up.",
  needs: "nothing",
  verb: "Put down",
  fields: [
    { name: "x", label: "Size x", unit: "mm", initial: 60, step: 1, min: 0.001 },
    { name: "y", label: "Size y", unit: "mm", initial: 40, step: 1, min: 0.001 },
    { name: "faces x", label: "Faces x", unit: "", initial: 3, step: 1, min: 1, whole: true },
    { name: "faces y", label: "Faces y", unit: "", initial: 2, step: 1, min: 1, whole: true },
  ],
  command: (v) => ({ kind: "add-plane", size: [v.x, v.y], counts: [v["faces x"], v["faces y"]] }),
};
