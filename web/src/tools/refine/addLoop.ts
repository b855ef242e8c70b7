import { drawn, verb } from "../../model/tool";
import { apart, mix, minus, unit } from "../../model/vec";
import { count, parameter, share } from "../shared/fields";
import { grip } from "../shared/placing";

export const tool = verb({
  id: "add-loop",
  name: "Add loop",
  key: "Shift O",
  station: "refine",
  section: "Loops",
  order: 10,
  opens: true,
  icon: drawn(["M5 7c0-2 3.500-3.500 7-3.500S19 5 19 7s-3.500 3.500-7 3.500S5 9 5 7z", "M5 7v11c0 1.500 3 2.500 7 2.500s7-1 7-2.500V7", "M5 13.500c2 3 12 3 14 0"], [[12, 15.7]]),
  also: "edge loop insert cut subdivide ring",
  hint: "Pick an edge that the loop is to cross. Drag the bead along it, or type the place: 30, or a ratio such as 1:2.",
  needs: "selection",
  takes: ["edge"],
  eager: true,
  verb: "Add",
  fields: {
    count: count("Loops", 1, 1, { max: 32, keep: true }),
    at: share("At", 50, { min: 1, max: 99 }),
    form: parameter("add-loop", "form", { keep: true }),
    span: parameter("add-loop", "span", { keep: true }),
    ends: parameter("add-loop", "ends", { keep: true }),
  },
  shown: { at: (v) => v.count === 1, ends: (v) => v.span === "picked" },
  command(v, { target }) {
    if (!target) return null;
    const shares = v.count === 1 ? [v.at / 100] : Array.from({ length: v.count }, (_, k) => (k + 1) / (v.count + 1));
    return { kind: "add-loop", ...target, shares: shares, span: v.span, ends: v.ends, form: v.form };
  },
  // Along what the shares count is the service's to say.
  grips(v, { rail }) {
    if (v.count !== 1 || !rail) return [];
    const [start, end] = rail;
    return [grip("at", mix(start, end, v.at / 100), unit(minus(end, start)), 100 / (apart(start, end) || 1))];
  },
});
