import { drawn } from "../../model/tool";
import type { Context } from "../../model/context";
import { length, list } from "../shared/fields";
import { asked, proofTool } from "../shared/proof";

const components = ({ design }: Context) => (design?.references ?? []).filter((r) => r.kind === "component").map((r) => ({ id: r.id, words: r.name }));

export const tool = proofTool({
  id: "prove-clearance", name: "Clearance", order: 31, section: "Distances",
  icon: drawn(["M4 18c4-14 12-14 16 0", "M9 18c1-6 5-6 6 0"]),
  also: "component inside part fit room battery",
  hint: "From a component at least so far.",
  fields: { component: list("From", components), least: length("At least", 1, { step: 0.1, min: 0 }) },
  missing: (context) => (asked(context) ? (components(context).length ? null : "There is no component: bring one in (Set out).") : undefined),
  mends: { tool: "move", picks: "piece" },
  kind: "clearance", ofBody: true,
  make(v, context) {
    const component = v.component || components(context)[0]?.id;
    return component ? { kind: "clearance", component, least: v.least } : null;
  },
  read: (p) => ({ component: p.component, least: p.least }),
});
