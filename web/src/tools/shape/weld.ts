import { drawn, verb } from "../../model/tool";
import { parameter } from "../shared/fields";

export const tool = verb({
  id: "weld",
  name: "Weld",
  key: "Shift W",
  station: "shape",
  section: "Join",
  order: 54,
  icon: drawn(["M3 5l7 6M21 5l-7 6M12 21v-7"], [[12, 12]]),
  also: "merge join close gap",
  hint: "What would become one vertex is shown before it is applied.",
  needs: "selection",
  takes: ["vertex", "edge"],
  eager: true,
  verb: "Weld",
  places: (v) => v.to === "point",
  fields: {
    to: parameter("weld", "to", { initial: "close" }),
    tolerance: parameter("weld", "tolerance", { keep: true }),
  },
  shown: { tolerance: (v) => v.to === "close" },
  begins: { kind: "weld" },
  command(v, { target, placing }) {
    if (!target) return null;
    const onto = v.to === "vertex" && target.picked.kind === "vertex" ? { onto: target.picked.ids[target.picked.ids.length - 1] } : {};
    const point = v.to === "point" ? { point: placing.pivot ?? ([0, 0, 0] as [number, number, number]) } : {};
    return { kind: "weld", ...target, to: v.to, tolerance: v.tolerance, ...onto, ...point };
  },
});
