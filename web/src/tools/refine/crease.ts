import { drawn, verb } from "../../model/tool";
import { parameter } from "../shared/fields";

export const tool = verb({
  id: "crease",
  name: "Crease",
  key: "C",
  station: "refine",
  section: "Sharpness",
  order: 30,
  icon: drawn(["M3 17c4 0 6-2 9-9 3 7 5 9 9 9", "M12 8v10"], [[12, 8]]),
  also: "sharp hard edge corner",
  hint: "0 is smooth, 10 is hard: type it, or drag the bead. On picked vertices it sets corners instead.",
  needs: "selection",
  verb: "Set",
  fields: { sharpness: parameter("crease", "sharpness", { initial: 2, keep: true, slider: true }) },
  parts: [{ kind: "bead" }],
  // Twenty pixels are one more.
  dragged({ vector }, start, { view }) {
    const sharpness = start.sharpness + vector[0] / view.pixel / 20;
    return { values: { sharpness: Math.round(10 * Math.max(0, Math.min(10, sharpness))) / 10 }, field: "sharpness" };
  },
  command: (v, { target }) =>
    target && { kind: target.picked.kind === "vertex" ? "corner" : "crease", ...target, sharpness: v.sharpness },
});
