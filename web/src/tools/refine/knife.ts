/** The knife: a line drawn across the view, or a plane across an axis. */
import type { Context, Target } from "../../model/context";
import { drawn, verb } from "../../model/tool";
import { cross, length as lengthOf, minus, type Vec } from "../../model/vec";
import { twoEnds } from "../shared/drawing";
import { choice, length, parameter } from "../shared/fields";
import { axesOf, grip, pointAlong } from "../shared/placing";

/** The plane through two points that were clicked, and the eye. */
function throughView({ sketch: { spots, towards }, view }: Context): { point: Vec; normal: Vec } | null {
  if (spots.length < 2) return null;
  const [a, b] = [spots[0].point, spots[1].point];
  // In perspective all that lies behind the line on the screen is fanned out from the eye.
  const sight = view.eye ? minus(view.eye, a) : towards;
  const normal = cross(minus(b, a), sight);
  return lengthOf(normal) > 1e-9 ? { point: a, normal } : null;
}

/** The faces picked before, or the whole piece. */
function meant({ target, piece }: Context): Target | null {
  if (target && target.picked.kind !== "vertex") return target;
  return piece && { piece: piece.id, picked: { kind: "piece", ids: [0] } };
}

const pointing = twoEnds(({ values }) => values.how === "drawn");

export const tool = verb({
  id: "knife",
  name: "Knife",
  key: "Shift K",
  station: "refine",
  section: "Cut",
  order: 20,
  icon: drawn(["M3 8h18v12H3z", "M8 22L17 2", "M3 14h8.500M13 14h8"]),
  also: "cut slice split",
  hint: "Cuts the faces picked before, or the whole piece: along a line across the view, or square to an axis.",
  needs: "piece",
  verb: "Cut",
  fields: {
    how: choice("Line", { drawn: "drawn across the view", x: "across x", y: "across y", z: "across z" }, { keep: true }),
    at: length("At", 0, { keep: true }),
    sides: parameter("knife", "sides", { keep: true }),
    leave: parameter("knife", "leave", { keep: true }),
    keep: parameter("knife", "keep", { keep: true }),
    near: parameter("knife", "near", { initial: 0.5, keep: true }),
    cap: parameter("knife", "cap", { keep: true }),
    sharpness: parameter("knife", "sharpness", { keep: true }),
  },
  shown: { sides: (_, { piece }) => !!piece?.symmetry, at: (v) => v.how !== "drawn", cap: (v) => v.leave === "filled" },
  places: (v) => v.how !== "drawn",
  command(v, context) {
    const target = meant(context);
    const normal = axesOf(context.placing)["xyz".indexOf(v.how)];
    const plane = v.how === "drawn" ? throughView(context) : { point: pointAlong(normal, v.at, context.placing), normal };
    if (!target || !plane) return null;
    const { sides, near, keep, leave, cap, sharpness } = v;
    return { kind: "knife", ...target, ...plane, sides, near, keep, leave, cap, sharpness };
  },
  grips(v, { placing }) {
    if (v.how === "drawn") return [];
    const along = axesOf(placing)["xyz".indexOf(v.how)];
    return [grip("at", pointAlong(along, v.at, placing), along)];
  },
  pointing,
  below: "KnifeLine",
});
