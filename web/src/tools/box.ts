import { BoxIcon } from "../theme/icons";
import type { Tool } from "./tool";

const size = (name: string, initial: number) => ({ name, label: `Size ${name}`, unit: "mm", initial, step: 1, min: 0.001 });
const count = (name: string, initial: number) => ({
  name: `faces ${name}`, label: `Faces ${name}`, unit: "", initial, step: 1, min: 1, whole: true,
});

export const tool: Tool = {
  id: "box",
  name: "Box",
  key: "b",
  station: "rough",
  order: 10,
  Icon: BoxIcon,
  hint: "Set sizes and face counts, then put the box down. Few faces hold a form best.",
  needs: "nothing",
  verb: "Put down",
  fields: [size("x", 40), size("y", 30), size("z", 20), count("x", 2), count("y", 2), count("z", 1)],
  command: (v) => ({
    kind: "add-box",
    size: [v.x, v.y, v.z],
    counts: [v["faces x"], v["faces y"], v["faces z"]],
  }),
};
