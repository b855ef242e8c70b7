import { drawn } from "../../model/tool";
import type { Context } from "../../model/context";
import { length, list } from "../shared/fields";
import { asked, proofTool } from "../shared/proof";

const others = (context: Context) =>
  (context.design?.pieces ?? []).filter((p) => !p.curve && p.id !== asked(context)?.id).map((p) => ({ id: p.id, words: p.name }));

export const tool = proofTool({
  id: "prove-gap", name: "Gap", order: 30, section: "Distances",
  icon: drawn(["M4 5c5 3 5 11 0 14", "M20 5c-5 3-5 11 0 14", "M9 12h6"]),
  also: "distance pieces apart play",
  hint: "From another piece at least so far.",
  fields: { other: list("From", others), least: length("At least", 0.3, { step: 0.1, min: 0 }) },
  missing: (context) => (asked(context) ? (others(context).length ? null : "There is no other piece to keep a distance to.") : undefined),
  mends: { tool: "move", picks: "piece" },
  kind: "gap", ofBody: true,
  make(v, context) {
    const other = v.other || others(context)[0]?.id;
    return other ? { kind: "gap", other, least: v.least } : null;
  },
  read: (p) => ({ other: p.other, least: p.least }),
});
