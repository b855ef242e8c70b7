import { drawn, verb } from "../../model/tool";
import { parameter } from "../shared/fields";

export const tool = verb({
  id: "resample",
  name: "Resample",
  station: "refine",
  section: "Rewire",
  order: 54,
  icon: drawn(["M3 6h7v12H3z", "M3 12h7", "M14 6h7v12h-7z", "M14 9h7M14 12h7M14 15h7M17.500 6v12"]),
  also: "rebuild density grid count",
  hint: "Of a four-sided region, a strip, or all round a tube; or a whole curve. Its first number counts along the first edge of the first face.",
  needs: "selection",
  takes: ["face", "piece"],
  missing: ({ piece }) => (piece?.curve ? null : undefined),
  eager: true,
  verb: "Resample",
  fields: {
    u: parameter("resample", "u", { initial: 8 }),
    v: parameter("resample", "v", { initial: 8 }),
    density: parameter("resample", "density", { keep: true }),
    count: parameter("resample-curve", "count"),
    degree: parameter("resample-curve", "degree"),
  },
  shown: {
    u: (_, { piece }) => !piece?.curve, v: (_, { piece }) => !piece?.curve, density: (_, { piece }) => !piece?.curve,
    count: (_, { piece }) => !!piece?.curve, degree: (_, { piece }) => !!piece?.curve,
  },
  begins: { kind: "resample" },
  command(v, { target, piece }) {
    if (piece?.curve) return { kind: "resample-curve", piece: piece.id, count: v.count, degree: v.degree };
    return target && { kind: "resample", ...target, u: v.u, v: v.v, density: v.density };
  },
});
