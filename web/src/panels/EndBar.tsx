/** For tools that join two ends: set one aside, and pick the other, on this piece or on another. */
import Button from "@mui/material/Button";
import Stack from "@mui/material/Stack";
import Typography from "@mui/material/Typography";
import { useBench } from "../live/bench";
import { useEnds } from "../live/ends";

const plural = { vertex: "vertices", edge: "edges", face: "faces", piece: "pieces" } as const;

export function EndBar() {
  const far = useEnds((s) => s.far);
  const { design, piece, pickKind, picked, pick } = useBench();
  const name = design?.pieces.find((p) => p.id === far?.piece)?.name;
  const setAside = () => {
    if (!piece || !picked.length) return;
    useEnds.setState({ far: { piece, kind: pickKind, ids: picked } });
    pick(piece, []);
  };
  const forget = () => {
    useEnds.setState({ far: null });
    pick(piece, picked);
  };
  return (
    <Stack direction="row" spacing={1.25} sx={{ alignItems: "center", mt: 0.75 }}>
      {far && name ? (
        <>
          <Typography variant="body2">
            First end: {far.ids.length} {far.ids.length === 1 ? far.kind : plural[far.kind]} of {name}.{picked.length ? "" : " Now pick the other."}
          </Typography>
          <Button size="small" onClick={forget}>Forget it</Button>
        </>
      ) : (
        <>
          <Button size="small" variant="outlined" disabled={!picked.length || pickKind === "piece" || pickKind === "vertex"} onClick={setAside}>
            Keep as first end
          </Button>
          <Typography variant="body2" color="text.secondary">Pick both ends at once, or one after the other, also on two pieces.</Typography>
        </>
      )}
    </Stack>
  );
}
