/** Shows on the body which edges the tool in hand means. */
import { useEffect } from "react";
import { useBench } from "../../live/bench";
import { useBodies } from "../../live/bodies";
import { type Chosen, chosenEdges } from "../../tools/followers/edges";

/** The edges that the card's values mean; they are marked in the viewport while the card stands. */
export function useChosenEdges(): Chosen | null {
  const { design, piece: current, values } = useBench();
  const piece = design?.pieces.find((p) => p.id === current);
  useBodies((s) => s.settled);
  const chosen = chosenEdges(values, piece);
  useEffect(() => {
    useBodies.setState({ meant: piece && chosen ? { piece: piece.id, ...chosen } : null });
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [piece?.id, JSON.stringify(chosen)]);
  return chosen;
}

export function ChosenEdges() {
  useChosenEdges();
  return null;
}
