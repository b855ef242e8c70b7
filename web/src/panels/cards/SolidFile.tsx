/** On the card of Combine: a STEP file to combine with. */
import Button from "@mui/material/Button";
import CircularProgress from "@mui/material/CircularProgress";
import Stack from "@mui/material/Stack";
import Typography from "@mui/material/Typography";
import { useRef, useState } from "react";
import { useBench } from "../../live/bench";
import { useFollowers } from "../../live/followers";
import { service } from "../../live/service";

export function SolidFile() {
  const { design, piece, attempt, values, setValues } = useBench();
  const input = useRef<HTMLInputElement>(null);
  const [busy, setBusy] = useState(false);
  const last = useFollowers((s) => s.solids.at(-1));
  const bring = async (file: File | undefined) => {
    if (!file || !design) return;
    setBusy(true);
    await attempt(async () => {
      const kept = await service.keepSolid(file);
      const { solids } = useFollowers.getState();
      useFollowers.setState({ solids: [...solids.filter((s) => s.asset !== kept.asset), kept] });
      // The newest stands last in the list of what there is to combine with.
      const others = design.pieces.filter((p) => p.id !== piece).length;
      setValues({ ...values, body: 4 + others + useFollowers.getState().solids.length - 1 });
    });
    setBusy(false);
    if (input.current) input.current.value = "";
  };
  return (
    <Stack direction="row" spacing={1.25} sx={{ alignItems: "center", mt: 0.75 }}>
      <Button component="label" size="small" variant="outlined" disabled={busy} startIcon={busy ? <CircularProgress size={14} /> : undefined}>
        {busy ? "Reading" : "With a STEP file…"}
        <input ref={input} hidden type="file" accept=".step,.stp" aria-label="STEP file" onChange={(event) => void bring(event.target.files?.[0])} />
      </Button>
      {last && <Typography variant="body2" color="text.secondary">{last.name}: {last.size.map((x) => x.toFixed(1)).join(" × ")} mm, {last.faces} faces</Typography>}
    </Stack>
  );
}
