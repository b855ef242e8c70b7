/** On the card of a deviation: the form as it was at an earlier step, laid out to be measured against. */
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import Stack from "@mui/material/Stack";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { attempt } from "../../live/picks";
import { service } from "../../live/service";
import { useDesign, usePiece } from "../../live/stores/design";
import { usePicking } from "../../live/stores/picking";
import { useFollowers } from "../../live/stores/followers";
import { change } from "../../live/tooling";
import { holderOf } from "../../model/growths";

const MOST = 60;

export default function EarlierForm() {
  const design = useDesign((s) => s.design);
  const proving = useFollowers((s) => s.proving);
  const inHand = usePicking((s) => s.piece);
  const piece = holderOf(usePiece(proving?.piece ?? inHand), design?.pieces);
  const [chosen, setChosen] = useState<number | "">("");
  const [busy, setBusy] = useState(false);
  const steps = design?.steps.slice(0, design.head).filter((step) => !step.aside && step.place > 0).slice(-MOST).reverse() ?? [];
  if (!design || !piece || piece.curve || !steps.length) return null;
  const step = steps.find((one) => one.id === chosen) ?? steps[0];
  const lay = async () => {
    setBusy(true);
    await attempt(async () => {
      const made = (await service.bake(design.id, piece.id, design.revision, step.id)).references.at(-1);
      if (made) change({ from: made.id });
    });
    setBusy(false);
  };
  return (
    <Stack direction="row" spacing={1} sx={{ alignItems: "center", mt: 0.75 }}>
      <TextField select size="small" label="Or as it was at" value={step.id} onChange={(event) => setChosen(Number(event.target.value))} sx={{ width: 260 }}>
        {steps.map((one) => <MenuItem key={one.id} value={one.id}>{`${one.place}  ${one.title}`}</MenuItem>)}
      </TextField>
      <Button size="small" variant="outlined" disabled={busy} onClick={() => void lay()}>Measure against that</Button>
    </Stack>
  );
}
