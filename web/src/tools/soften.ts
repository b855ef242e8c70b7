import { SoftenIcon } from "../theme/icons";
import type { Tool } from "./tool";

export const tool: Tool = {
  id: "scale-creases",
  name: "Soften creases",
  station: "refine",
  section: "Sharpness",
  order: 32,
  Icon: SoftenIcon,
  hint: "Multiplies the sharpness of all that is picked, or of the whole piece (W): below 100 % softens.",
  needs: "selection",
  verb: "Set",
  fields: [{ name: "factor", label: "To", unit: "%", initial: 50, step: 10, min: 0, max: 1000, slider: false }],
  eager: true,
  command: (v, target) => target && { kind: "scale-creases", ...target, factor: v.factor / 100 },
};
