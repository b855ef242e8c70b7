/** On the card of levels: what the next one comes to; and the surface with its relief as a component. */
import Button from "@mui/material/Button";
import CircularProgress from "@mui/material/CircularProgress";
import { useState } from "react";
import { attempt } from "../../live/picks";
import { service } from "../../live/service";
import { useDesign } from "../../live/stores/design";
import { usePicking } from "../../live/stores/picking";
import ReliefLine from "./ReliefLine";

export default function LevelsLine() {
  const id = usePicking((s) => s.piece);
  const design = useDesign((s) => s.design);
  const piece = design?.pieces.find((one) => one.id === id && !one.curve);
  const [busy, setBusy] = useState(false);
  const bake = async () => {
    if (!design || !piece) return;
    setBusy(true);
    await attempt(() => service.bake(design.id, piece.id, design.revision));
    setBusy(false);
  };
  return (
    <>
      <ReliefLine />
      <Button size="small" variant="outlined" disabled={!piece || busy} startIcon={busy ? <CircularProgress size={14} /> : undefined} onClick={() => void bake()} sx={{ mt: 0.75 }}>
        {piece ? `${piece.name} as a component of triangles` : "As a component of triangles"}
      </Button>
    </>
  );
}
