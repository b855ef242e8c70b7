/** On the card of Scale to size: the two points from two vertices that are picked. */
import Button from "@mui/material/Button";
import { useShallow } from "zustand/react/shallow";
import { pieces } from "../../live/pieces";
import { usePicking } from "../../live/stores/picking";
import { useSession } from "../../live/stores/session";
import { pointAt } from "../../model/vec";
import { change } from "../../live/tooling";

export default function PickedDistance() {
  const measures = useSession((s) => s.values.measure === "distance");
  const [piece, pickKind, picked] = usePicking(useShallow((s) => [s.piece, s.pickKind, s.picked] as const));
  const held = piece ? pieces.byId.get(piece) : undefined;
  if (!measures) return null;
  const two = held && pickKind === "vertex" && picked.length === 2 ? picked : null;
  const take = () => {
    if (!two || !held) return;
    // Where the two lie on the smooth surface: that is what the body is made of.
    const ends = two.flatMap((v, i) => pointAt(held.surface.positions, v).map((x, k): [string, number] => [`${"xyz"[k]}${i + 1}`, +x.toFixed(4)]));
    change(Object.fromEntries(ends));
  };
  return (
    <Button size="small" variant="outlined" disabled={!two} onClick={take} sx={{ mt: 0.75 }}>
      {two ? "Between the two picked vertices" : "Pick two vertices (V) to measure between them"}
    </Button>
  );
}
