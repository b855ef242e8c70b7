import { drawn } from "../../model/tool";
import type { Context } from "../../model/context";
import { axisSpot, dimensionTool, held, heldFrom, heldOf, heldShown, placesPicked, type Spot } from "../shared/dimension";
import { choice } from "../shared/fields";

const axisChosen = ({ values }: Context) => values.from !== undefined && values.from !== "picked";

/** From the first place to the second; from an axis to the one that is picked. */
function ends(from: "picked" | "x" | "y" | "z", context: Context): { first: Spot; second: Spot } {
  const [first, second] = placesPicked(context);
  return from === "picked" ? { first, second } : { first: axisSpot(from), second: first };
}

export const tool = dimensionTool({
  id: "distance",
  name: "Distance",
  order: 40,
  icon: drawn(["M5 6v12M19 6v12", "M5 12h14", "M8 10l-3 2 3 2M16 10l3 2-3 2"]),
  also: "dimension measure how far length between height",
  hint: "On the smooth surface. It stays and follows the form; a click on its number makes it another.",
  ends: true,
  takes: ["vertex", "edge", "face"],
  fields: {
    from: choice("Between", { picked: "the two picked", x: "the x axis and the picked", y: "the y axis and the picked", z: "the z axis and the picked" }),
    way: choice("Measured", { square: "square to the first", straight: "straight", x: "along x", y: "along y", z: "along z" }),
    ...held,
  },
  shown: heldShown,
  kind: "distance",
  lacks(context) {
    const count = placesPicked(context).length;
    if (axisChosen(context)) return count === 1 ? null : "Pick the one vertex, edge or face (V, E, F) that is so far from the axis.";
    return count === 2 ? null : "Pick two vertices, edges or faces (V, E, F; Shift adds), or keep one as first end and pick the other.";
  },
  make(v, context, was) {
    const { first, second } = was ? (was as { first: Spot; second: Spot }) : ends(v.from, context);
    return { kind: "distance", piece: was?.piece ?? (first.piece || second.piece), first, second, way: v.way, ...heldOf(v) };
  },
  read: (p) => ({ way: p.way, ...heldFrom(p) }),
});
