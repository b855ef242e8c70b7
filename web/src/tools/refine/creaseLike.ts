import type { Context } from "../../model/context";
import { drawn, verb } from "../../model/tool";
import { entryOf, list, parameter } from "../shared/fields";

const components = ({ design }: Context) => (design?.references ?? []).filter((r) => r.kind === "component");

export const tool = verb({
  id: "crease-like",
  name: "Crease like",
  station: "refine",
  section: "Sharpness",
  order: 34,
  icon: drawn(["M4 15V6h9", "M8 19v-9h9", "M13 19h7M20 16v3"], [[8, 10]]),
  also: "sharp hard edge component",
  hint: "Creases the edges of the picked, or of the whole piece (W), that run along the sharp lines of a component; or picked edges as tightly as a scan is rounded along them, whose radius is told.",
  needs: "selection",
  eager: true,
  verb: "Crease",
  fields: {
    like: list("Component", (context) => components(context).map(({ id, name }) => ({ id, words: name }))),
    by: parameter("crease-like", "by", { keep: true }),
    angle: parameter("crease-like", "angle", { above: undefined, min: 1, keep: true }),
    within: parameter("crease-like", "within", { keep: true }),
    sharpness: parameter("crease-like", "sharpness", { keep: true }),
  },
  shown: { angle: (v) => v.by === "lines", within: (v) => v.by === "lines", sharpness: (v) => v.by === "lines" },
  sharpLines: (v) => (v.by === "lines" ? { on: String(v.like), degrees: Number(v.angle) } : null),
  command(v, context) {
    const like = entryOf(components(context), v.like);
    const { target } = context;
    return target && like ? { kind: "crease-like", ...target, like: like.id, by: v.by, angle: v.angle, within: v.within, sharpness: v.sharpness } : null;
  },
});
