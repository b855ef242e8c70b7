import { drawn, verb } from "../../model/tool";
import type { AnyProof } from "../../model/types";
import { angle, choice, length } from "../shared/fields";

const inDegrees = (proof: AnyProof | null) => proof?.kind === "angle";

export const tool = verb({
  id: "make-true",
  name: "Make true",
  station: "prove",
  section: "Dimensions",
  order: 44,
  icon: drawn(["M4 7v10M20 7v10", "M4 12h9", "M17 12h-4M15 10l-2 2 2 2"]),
  also: "dimension drive type number set",
  hint: "What is moved goes as far as it takes until the dimension measures this.",
  needs: "piece",
  anywhere: true,
  verb: "Make it so",
  leaves: () => true,
  fields: {
    length: length("To", 10, { min: 0 }),
    degrees: angle("To", 90, { step: 1, min: 0, max: 360 }),
    moves: choice("Moves", { end: "its second end", picked: "what is picked" }),
  },
  shown: { length: (_, { proving }) => !inDegrees(proving), degrees: (_, { proving }) => inDegrees(proving) },
  makesTrue: ["distance", "angle", "round", "length"],
  missing({ proving, values, target }) {
    if (!proving) return "Click the number of a dimension on the form first.";
    return values.moves === "picked" && !target ? "Pick what is to be moved, sized or turned." : null;
  },
  readsFigure: (figure) => ({ length: figure, degrees: figure }),
  command(v, { proving, target }) {
    if (!proving?.id) return null;
    const moved = v.moves === "picked" && target ? { piece: target.piece, picked: target.picked } : null;
    return { kind: "make-true", proof: proving.id, value: inDegrees(proving) ? v.degrees : v.length, moved };
  },
});
