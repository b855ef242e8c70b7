import { drawn } from "../../model/tool";
import type { Context } from "../../model/context";
import { componentsOf } from "../shared/components";
import { length, list } from "../shared/fields";
import { asked, proofTool } from "../shared/proof";

/** Components, and other pieces: both are there to be near to. */
const beside = (context: Context) => [
  ...componentsOf(context),
  ...(context.design?.pieces ?? []).filter((p) => !p.curve && p.id !== asked(context)?.id),
].map((one) => ({ id: one.id, words: one.name }));

export const tool = proofTool({
  id: "prove-deviation", name: "Deviation", order: 33, section: "Distances",
  icon: drawn(["M4 16c5-8 11-8 16 0", "M4 12c5-6 11-10 16-3", "M12 7v4"]),
  also: "scan compare difference rms within step earlier variant",
  hint: "Its surface lies everywhere so near to another piece, a variant, a component, or itself at an earlier step.",
  below: "EarlierForm",
  fields: { from: list("Of", beside), most: length("Within", 0.5, { step: 0.05, above: 0 }) },
  missing: (context) => (asked(context) ? (beside(context).length ? null : "There is nothing to be near to yet: another piece, a component, or itself at an earlier step.") : undefined),
  mends: { tool: "settle", picks: "piece" },
  kind: "deviation", ofBody: true,
  make(v, context) {
    const from = v.from || beside(context)[0]?.id;
    if (!from) return null;
    const isPiece = context.design?.pieces.some((p) => p.id === from) ?? false;
    return { kind: "deviation", other: isPiece ? from : "", component: isPiece ? "" : from, most: v.most };
  },
  read: (p) => ({ from: p.other || p.component, most: p.most }),
});
