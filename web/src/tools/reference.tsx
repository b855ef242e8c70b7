/** The reference in hand: place it, size it, fade it; its beads drag it about. */
import { useBench } from "../live/bench";
import { useLook, type Vec } from "../live/look";
import type { Command } from "../live/types";
import { ReferenceCard } from "../panels/cards/ReferenceCard";
import { PenIcon } from "../theme/icons";
import { markTwo } from "./measuring";
import type { Part, Tool } from "./tool";

type Grip = Extract<Part, { kind: "grip" }>;

const inHand = () => useBench.getState().design?.references.find((r) => r.id === useLook.getState().reference);
const plus = (a: Vec, b: Vec, by: number): Vec => [a[0] + by * b[0], a[1] + by * b[1], a[2] + by * b[2]];

/** A picture moves within its plane and is sized at its edge; a component moves along the axes. */
function grips(): Grip[] {
  const shown = useBench.getState().preview?.references ?? useBench.getState().design?.references;
  const reference = shown?.find((r) => r.id === useLook.getState().reference);
  if (!reference || reference.locked || !reference.visible || markTwo.active()) return [];
  const grip = (field: string, at: Vec, along: Vec, gain: number): Grip => ({ kind: "grip", field, at, along, gain });
  if (reference.kind === "component")
    return [0, 1, 2].map((k) => {
      const along: Vec = [0, 0, 0];
      along[k] = 1;
      return grip(`move ${k}`, reference.centre, along, 1);
    });
  return [
    grip("right", reference.centre, reference.right, 1),
    grip("up", reference.centre, reference.up, 1),
    grip("width", plus(reference.centre, reference.right, reference.width / 2), reference.right, 2),
  ];
}

function placed({ field, along }: Grip, amount: number): Command | null {
  const reference = inHand();
  if (!reference || !amount) return null;
  const vector = along.map((x) => x * amount) as Vec;
  if (reference.kind === "component")
    return { kind: "place-component", reference: reference.id, vector, axis: [0, 0, 1], degrees: 0 };
  if (field === "width")
    return { kind: "place-picture", reference: reference.id, width: Math.max(0.001, reference.width + amount) };
  return { kind: "place-picture", reference: reference.id, centre: plus(reference.centre, vector, 1) };
}

export const tool: Tool = {
  id: "reference", name: "Place reference", station: "set-out", order: 30, Icon: PenIcon, hint: "", needs: "nothing", verb: "", fields: [],
  Card: ReferenceCard,
  pointing: markTwo,
  grips,
  gripped(part, amount, done) {
    const command = placed(part, amount);
    const { give, try: show } = useBench.getState();
    if (command && done) give(command);
    else show(command);
  },
};
