import { SpinIcon } from "../theme/icons";
import type { Tool } from "./tool";

export const tool: Tool = {
  id: "spin",
  name: "Spin",
  key: "y",
  shift: true,
  station: "refine",
  section: "Rewire",
  order: 50,
  Icon: SpinIcon,
  hint: "Turns the picked edge on to the next corners of its two faces.",
  needs: "selection",
  takes: ["edge"],
  eager: true,
  verb: "Spin",
  fields: [{ name: "way", label: "Goes", unit: "", initial: 0, step: 1, keep: true, options: ["on by one", "back by one"] }],
  command: (v, target) => target && { kind: "spin", ...target, backwards: v.way === 1 },
};
