/** On the card of Combine: a STEP file to combine with. */
import Button from "@mui/material/Button";
import CircularProgress from "@mui/material/CircularProgress";
import Stack from "@mui/material/Stack";
import Typography from "@mui/material/Typography";
import { useRef, useState } from "react";
import { attempt } from "../../live/picks";
import { useDesign, useUnit } from "../../live/stores/design";
import { change } from "../../live/tooling";
import { useFollowers } from "../../live/stores/followers";
import { service } from "../../live/service";
import { lengthsWords } from "../../model/units";
import { fromFile } from "../../tools/make/combine";

export default function SolidFile() {
  const open = useDesign((s) => s.design !== null);
  const unit = useUnit();
  const input = useRef<HTMLInputElement>(null);
  const [busy, setBusy] = useState(false);
  const last = useFollowers((s) => s.solids.at(-1));
  const bring = async (file: File | undefined) => {
    if (!file || !open) return;
    setBusy(true);
    await attempt(async () => {
      const kept = await service.keepSolid(file);
      const { solids } = useFollowers.getState();
      useFollowers.setState({ solids: [...solids.filter((s) => s.asset !== kept.asset), kept] });
      change({ body: fromFile(kept.asset) });
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
      {last && <Typography variant="body2" color="text.secondary">{last.name}: {lengthsWords(last.size, unit)}, {last.faces} faces</Typography>}
    </Stack>
  );
}
