/** A stand to show pieces on: which, how large, for which piece; it is put down as a reference and never made with them. */
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import Stack from "@mui/material/Stack";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { attempt } from "../../live/picks";
import { service } from "../../live/service";
import { useDesign, usePiece } from "../../live/stores/design";
import { usePicking } from "../../live/stores/picking";
import { useAnyWrong } from "../../live/stores/wrong";
import type { NumberField as Field } from "../../model/fields";
import { goesThrough, stands, type StandName } from "../../model/stands";
import type { CardProps } from "../../model/tool";
import { CardHead } from "../parts/CardHead";
import { NumberField } from "../parts/NumberField";

export default function StandCard({ tool }: CardProps) {
  const piece = usePiece(usePicking((s) => s.piece));
  const anyWrong = useAnyWrong();
  const [chosen, setChosen] = useState<StandName>("cone");
  const [fits, setFits] = useState<"piece" | "usual" | "own">("piece");
  const [sizes, setSizes] = useState<Partial<Record<StandName, number>>>({});
  const [busy, setBusy] = useState(false);
  const { words, sizeWords, usual } = stands[chosen];
  const through = goesThrough(chosen);
  // Only what goes through a bore can be as wide as it.
  const fit = !through && fits === "piece" ? "usual" : fits;
  const size = sizes[chosen] ?? usual;
  const field: Field = { is: "number", label: sizeWords, unit: "mm", initial: usual, step: usual / 20, min: usual / 20, max: 20 * usual };
  const put = async () => {
    const { design } = useDesign.getState();
    if (!design) return;
    setBusy(true);
    const asked = { stand: chosen, size: fit === "own" ? size : fit === "usual" ? usual : null, piece: piece?.id ?? null };
    await attempt(() => service.putUpStand(design.id, design.revision, asked));
    setBusy(false);
  };
  return (
    <>
      <Stack direction="row" spacing={1.25} useFlexGap sx={{ alignItems: "center", flexWrap: "wrap", rowGap: 1.1 }}>
        <CardHead drawing={tool.icon}>{tool.name}</CardHead>
        <TextField select label="Stand" value={chosen} onChange={(event) => setChosen(event.target.value as StandName)} sx={{ minWidth: 120 }}>
          {Object.entries(stands).map(([name, one]) => <MenuItem key={name} value={name}>{one.words}</MenuItem>)}
        </TextField>
        <TextField select label="How large" value={fit} onChange={(event) => setFits(event.target.value as typeof fits)} sx={{ minWidth: 140 }}>
          {through && <MenuItem value="piece">as the bore is</MenuItem>}
          <MenuItem value="usual">as is usual</MenuItem>
          <MenuItem value="own">by number</MenuItem>
        </TextField>
        {fit === "own" && <NumberField key={chosen} field={field} value={size} onChange={(own) => setSizes({ ...sizes, [chosen]: own })} />}
        <Button variant="contained" disabled={busy || anyWrong} onClick={() => void put()}>Put it up</Button>
      </Stack>
      <Typography variant="body2" color="text.secondary" sx={{ mt: 0.75 }}>
        {words} {through || chosen === "hook" ? (piece ? `through the bore of ${piece.name}, where it has one` : "in the middle: take a piece in hand for its bore") : "for all that is shown"}. It stands in the list of references, is shown and hidden by its eye, in pictures too, and is never made with a piece.
      </Typography>
    </>
  );
}
