import { useBench } from "../live/bench";
import { MatchIcon } from "../theme/icons";
import type { Tool } from "./tool";

const components = () => (useBench.getState().design?.references ?? []).filter((r) => r.kind === "component");

export const tool: Tool = {
  id: "crease-like",
  name: "Crease like",
  station: "refine",
  section: "Sharpness",
  order: 34,
  Icon: MatchIcon,
  hint: "Creases the edges of the picked, or of the whole piece (W), that run along the sharp lines of a component.",
  needs: "selection",
  eager: true,
  verb: "Crease",
  fields: [
    { name: "like", label: "Component", unit: "", initial: 0, step: 1, options: () => components().map((c) => c.name) },
    { name: "angle", label: "Sharp from", unit: "°", initial: 30, step: 5, min: 1, max: 180, keep: true },
    { name: "within", label: "Within", unit: "mm", initial: 0.5, step: 0.1, min: 0.001, keep: true },
    { name: "sharpness", label: "Sharpness", unit: "", initial: 10, step: 0.5, min: 0, max: 10, keep: true },
  ],
  command: (v, target) => {
    const like = components()[v.like];
    return target && like
      ? { kind: "crease-like", ...target, like: like.id, angle: v.angle, within: v.within, sharpness: v.sharpness }
      : null;
  },
};
