/** For tools that join two ends: set one aside, and pick the other, on this piece or on another. */
import Button from "@mui/material/Button";
import Stack from "@mui/material/Stack";
import Typography from "@mui/material/Typography";
import { useShallow } from "zustand/react/shallow";
import { pick } from "../../live/picks";
import { usePiece } from "../../live/stores/design";
import { useEnds } from "../../live/stores/ends";
import type { Kind } from "../../model/types";
import { plural, usePicking } from "../../live/stores/picking";

export function EndBar({ takes = ["edge", "face"] }: { takes?: Kind[] }) {
  const far = useEnds((s) => s.far);
  const [piece, pickKind, picked] = usePicking(useShallow((s) => [s.piece, s.pickKind, s.picked] as const));
  const name = usePiece(far?.piece ?? null)?.name;
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
          <Button size="small" variant="outlined" disabled={!picked.length || !takes.includes(pickKind)} onClick={setAside}>
            Keep as first end
          </Button>
          <Typography variant="body2" color="text.secondary">Pick both ends at once, or one after the other, also on two pieces.</Typography>
        </>
      )}
    </Stack>
  );
}
