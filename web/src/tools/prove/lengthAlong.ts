import { drawn } from "../../model/tool";
import { dimensionTool, held, heldFrom, heldOf, heldShown, pairsPicked } from "../shared/dimension";

export const tool = dimensionTool({
  id: "length-along",
  name: "Length along",
  order: 43,
  icon: drawn(["M4 16c4-12 8 6 16-6", "M3 13l2 6M19 7l2 6"]),
  also: "dimension measure perimeter girth round surface edge curve",
  hint: "Along the smooth surface at the edges that are picked, or along a curve. It stays and follows the form.",
  takes: ["edge"],
  fields: { ...held },
  shown: heldShown,
  kind: "length",
  lacks: (context) => (pairsPicked(context).length ? null : "Pick edges (E): one, a chain, or a ring by a double click."),
  make: (v, context, was) => ({ kind: "length", piece: was?.piece ?? context.piece?.id, edges: was?.edges ?? pairsPicked(context), ...heldOf(v) }),
  read: heldFrom,
});
