/** Lay quads: faces point by point, on the working plane, a picture, or a component; what is there is used again. */
import type { Context, Hands } from "../../model/context";
import type { Spot } from "../../model/sketch";
import { card, drawn, type Pointing } from "../../model/tool";
import type { Command } from "../../model/types";
import type { Vec } from "../../model/vec";

type Laying = Extract<Command, { kind: "lay-face" }>;

/** A spot on an edge gives both its ends; which of them comes first is the service's to say. */
const cornersAt = (spot: Spot): number => Math.max(1, spot.vertices.length);
export const cornersOf = (spots: Spot[]): number => spots.reduce((sum, spot) => sum + cornersAt(spot), 0);

const corner = (spot: Spot): Laying["corners"][number] =>
  spot.vertices.length === 2 ? [spot.vertices[0], spot.vertices[1]] : spot.vertices.length ? spot.vertices[0] : spot.point;

function lay(spots: Spot[], towards: Vec, { design, piece, sketch }: Context, hands: Hands): void {
  const owners = [...new Set(spots.flatMap((spot) => (spot.vertices.length && spot.piece ? [spot.piece] : [])))];
  hands.clearSketch();
  if (owners.length > 1)
    return hands.say({ type: "/problems/bad-selection", title: "", status: 422, detail: "A face is laid within one piece; these corners belong to two." });
  // A face by itself goes to the piece that is being laid, where there is one.
  const going = piece?.id === sketch.on && design?.pieces.some((p) => p.id === sketch.on) ? sketch.on : null;
  const own = owners[0] ?? going;
  const command: Laying = {
    kind: "lay-face", name: "Laid sheet", piece: own, corners: spots.map(corner), towards,
  };
  void hands.give(command).then((next) => next && hands.sketch({ on: next.selected?.piece ?? null }));
}

const pointing: Pointing = {
  active: () => true,
  query: () => ({ reuse: true }),
  click(spot, towards, context, hands) {
    const { spots } = context.sketch;
    const next = [...spots, spot];
    const count = cornersOf(next);
    if (count > 4) return;
    const out = spot.normal ?? towards;
    if (count === 4) lay(next, out, context, hands);
    else hands.sketch({ spots: next, towards: out });
  },
  key(key, context, hands) {
    const { spots, towards } = context.sketch;
    if (!spots.length) return false;
    if (key === "Escape") hands.clearSketch();
    else if (key === "Backspace") hands.sketch({ spots: spots.slice(0, -1) });
    else if (key === "Enter" && cornersOf(spots) === 3) lay(spots, towards, context, hands);
    else return false;
    return true;
  },
};

export const tool = card({
  id: "lay", name: "Lay quads", key: "Z", station: "rough", order: 90, also: "draw quads trace faces", hint: "", card: "LayCard", pointing,
  icon: drawn(["M4 19l2-9 7 1-1 9z", "M13 11l7-2"], [[20, 9], [18, 18]]),
});
