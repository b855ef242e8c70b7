import { drawn } from "../../model/tool";
import { verticesOf } from "../../model/measure";
import type { Context } from "../../model/context";
import { dimensionTool, held, heldFrom, heldOf, heldShown } from "../shared/dimension";
import { choice } from "../shared/fields";

const rim = ({ piece, pickKind, picked, arrays }: Context): number[] => {
  const cage = piece && arrays(piece.id)?.cage;
  return cage && pickKind !== "piece" ? verticesOf(cage, pickKind, picked) : [];
};

export const tool = dimensionTool({
  id: "diameter",
  name: "Diameter",
  order: 41,
  icon: drawn(["M12 4c4.500 0 8 3.500 8 8s-3.500 8-8 8-8-3.500-8-8 3.500-8 8-8z", "M6 18L18 6"]),
  also: "dimension measure radius circle round rim",
  hint: "Of the circle that lies nearest to the surface at what is picked: a rim, a ring of edges, three points. It stays and follows the form.",
  takes: ["vertex", "edge", "face"],
  fields: { radius: choice("As", { no: "diameter", yes: "radius" }), ...held },
  shown: heldShown,
  kind: "round",
  lacks: (context) => (rim(context).length >= 3 ? null : "Pick a rim: three vertices or more, or its edges (double click takes the ring)."),
  make: (v, context, was) => ({ kind: "round", piece: was?.piece ?? context.piece?.id, vertices: was?.vertices ?? rim(context), radius: v.radius === "yes", ...heldOf(v) }),
  read: (p) => ({ radius: p.radius ? "yes" : "no", ...heldFrom(p) }),
});
