/** The edges that the card's values mean; they are marked in the viewport while the card stands. */
import { useEffect } from "react";
import { contextNow } from "../../live/context";
import { useBodies } from "../../live/stores/bodies";
import { usePiece } from "../../live/stores/design";
import { usePicking } from "../../live/stores/picking";
import { useSession } from "../../live/stores/session";
import { type Chosen, chosenBy } from "../../tools/shared/edges";

export function useChosenEdges(): Chosen | null {
  const values = useSession((s) => s.values);
  const piece = usePiece(usePicking((s) => s.piece));
  useBodies((s) => s.settled);
  const chosen = chosenBy(values, contextNow());
  const key = JSON.stringify([piece?.id, chosen]);
  useEffect(() => {
    const [id, found] = JSON.parse(key) as [string | null, Chosen | null];
    useBodies.setState({ meant: id && found ? { piece: id, ...found } : null });
  }, [key]);
  return chosen;
}
