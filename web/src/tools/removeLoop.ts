import { RemoveLoopIcon } from "../theme/icons";
import type { Tool } from "./tool";

export const tool: Tool = {
  id: "remove",
  name: "Remove",
  key: "Delete",
  shift: true,
  station: "refine",
  section: "Loops",
  order: 12,
  Icon: RemoveLoopIcon,
  hint: "Takes loops, edges or vertices away; the faces around grow together and stay whole.",
  needs: "selection",
  takes: ["edge", "vertex"],
  eager: true,
  verb: "Remove",
  fields: [
    { name: "what", label: "Takes", unit: "", initial: 0, step: 1, keep: true, options: ["the picked", "their whole loops"] },
    { name: "form", label: "Surface", unit: "", initial: 1, step: 1, keep: true, options: ["as it falls", "hold form"] },
  ],
  command: (v, target) =>
    target && { kind: "remove", ...target, loops: v.what === 1 && target.picked.kind === "edge", form: v.form ? "hold" : "let" },
};
