import { drawn } from "../../model/tool";
import { axisSpot, dimensionTool, held, heldFrom, heldOf, heldShown, placesPicked, type Spot } from "../shared/dimension";
import { angle, choice } from "../shared/fields";

export const tool = dimensionTool({
  id: "angle",
  name: "Angle",
  order: 42,
  icon: drawn(["M5 18L17 6", "M5 18h15", "M13 10c2 2 3 5 3 8"]),
  also: "dimension measure degrees slope lean between",
  hint: "Between edges, faces and axes; of two faces it is told through the material. It stays and follows the form.",
  ends: true,
  takes: ["edge", "face"],
  fields: {
    from: choice("Between", { picked: "the two picked", x: "the x axis and the picked", y: "the y axis and the picked", z: "the z axis and the picked" }),
    ...held,
    wanted: angle("Number", 90, { min: 0, max: 360 }),
    tolerance: angle("Give or take", 0.5, { step: 0.5, above: 0 }),
  },
  shown: heldShown,
  kind: "angle",
  lacks(context) {
    const spots = placesPicked(context);
    if (spots.some((spot) => spot.kind === "vertex")) return "A vertex has no direction: pick edges or faces (E, F).";
    if (context.values.from !== undefined && context.values.from !== "picked")
      return spots.length === 1 ? null : "Pick the one edge or face (E, F) that leans so.";
    return spots.length === 2 ? null : "Pick two edges or faces (E, F; Shift adds), or keep one as first end and pick the other.";
  },
  make(v, context, was) {
    const [a, b] = placesPicked(context);
    const fresh = v.from === "picked" ? { first: a, second: b } : { first: axisSpot(v.from), second: a };
    const { first, second } = was ? (was as { first: Spot; second: Spot }) : fresh;
    return { kind: "angle", piece: was?.piece ?? (first.piece || second.piece), first, second, ...heldOf(v) };
  },
  read: heldFrom,
});
