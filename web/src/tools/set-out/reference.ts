/** The reference in hand: place it, size it, fade it; its beads drag it about. */
import type { Context } from "../../model/context";
import { penDrawing } from "../../model/drawings";
import { card, type Grip, type Pointing } from "../../model/tool";
import type { Command } from "../../model/types";
import { axisVec, plus, times } from "../../model/vec";
import { grip } from "../shared/placing";

/** Two points on a picture, whose distance is known: begun from the reference's card. */
const markTwo: Pointing = {
  active: ({ sketch }) => sketch.marking !== null && sketch.spots.length < 2,
  query: ({ sketch }) => ({ picture: sketch.marking ?? undefined }),
  click: (spot, _towards, { sketch }, hands) => hands.sketch({ spots: [...sketch.spots, spot] }),
  key(key, _context, hands) {
    if (key !== "Escape") return false;
    hands.clearSketch();
    return true;
  },
};

/** A picture moves within its plane and is sized at its edge; a component moves along the axes. */
function grips({ preview, design, reference: inHand, sketch }: Context): Grip[] {
  const reference = (preview?.references ?? design?.references)?.find((r) => r.id === inHand);
  if (!reference || reference.locked || !reference.visible || sketch.marking) return [];
  const { centre } = reference;
  if (reference.kind === "component") return [0, 1, 2].map((k) => grip(`move ${k}`, centre, axisVec(k)));
  const { right, up, width } = reference;
  return [grip("right", centre, right), grip("up", centre, up), grip("width", plus(centre, right, width / 2), right, 2)];
}

function placed({ field, along }: Grip, amount: number, { design, reference: inHand }: Context): Command | null {
  const reference = design?.references.find((r) => r.id === inHand);
  if (!reference || !amount) return null;
  const vector = times(along, amount);
  if (reference.kind === "component")
    return { kind: "place-component", reference: reference.id, vector, axis: [0, 0, 1], degrees: 0 };
  if (field === "width")
    return { kind: "place-picture", reference: reference.id, width: Math.max(0.001, reference.width + amount) };
  return { kind: "place-picture", reference: reference.id, centre: plus(reference.centre, vector) };
}

export const tool = card({
  id: "reference", name: "Place reference", station: "set-out", order: 30, icon: penDrawing, also: "image size place scale measure", hint: "", card: "ReferenceCard", forReferences: true,
  pointing: markTwo,
  grips,
  gripped(part, amount, done, context, hands) {
    const command = placed(part, amount, context);
    if (command && done) void hands.give(command);
    else hands.show(command);
  },
});
