import { drawn, verb } from "../../model/tool";
import { parameter } from "../shared/fields";

export const tool = verb({
  id: "scale-creases",
  name: "Soften creases",
  station: "refine",
  section: "Sharpness",
  order: 32,
  icon: drawn(["M3 18l6-12 6 12", "M11 18c4 0 5-6 6-6s2 6 4 6"]),
  also: "smooth unsharp",
  hint: "Multiplies the sharpness of all that is picked, or of the whole piece (W): below 100 % softens.",
  needs: "selection",
  verb: "Set",
  fields: { factor: parameter("scale-creases", "factor", { initial: 50 }) },
  eager: true,
  command: (v, { target }) => target && { kind: "scale-creases", ...target, factor: v.factor / 100 },
});
