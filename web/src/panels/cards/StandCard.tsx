/** A stand to show pieces on: which, how large, for which piece; it is put down as a reference and never made with them. */
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import Stack from "@mui/material/Stack";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { attempt } from "../../live/picks";
import { service } from "../../live/service";
import { useDesign, usePiece } from "../../live/stores/design";
import { usePicking } from "../../live/stores/picking";
import { useAnyWrong } from "../../live/stores/wrong";
import type { NumberField as Field } from "../../model/fields";
import type { CardProps } from "../../model/tool";
import type { StandState } from "../../model/types";
import { CardHead } from "../parts/CardHead";
import { NumberField } from "../parts/NumberField";

type StandName = StandState["stand"];

export default function StandCard({ tool }: CardProps) {
  const { data: stands } = useQuery({ queryKey: ["stands"], queryFn: service.stands, staleTime: Infinity });
  return stands ? <Choice tool={tool} stands={stands} /> : <CardHead drawing={tool.icon}>{tool.name}</CardHead>;
}

function Choice({ tool, stands }: CardProps & { stands: StandState[] }) {
  const piece = usePiece(usePicking((s) => s.piece));
  const anyWrong = useAnyWrong();
  const [chosen, setChosen] = useState<StandName>("cone");
  const [fits, setFits] = useState<"piece" | "usual" | "own">("piece");
  const [sizes, setSizes] = useState<Partial<Record<StandName, number>>>({});
  const [busy, setBusy] = useState(false);
  const one = stands.find((s) => s.stand === chosen) ?? stands[0];
  const { words, usual, through } = one;
  const fit = !one.fits && fits === "piece" ? "usual" : fits;
  const size = sizes[chosen] ?? usual;
  const field: Field = { is: "number", label: one.size_words[0].toUpperCase() + one.size_words.slice(1), unit: "mm", initial: usual, step: usual / 20, min: usual / 20, max: 20 * usual };
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
          {stands.map((s) => <MenuItem key={s.stand} value={s.stand}>{s.words}</MenuItem>)}
        </TextField>
        <TextField select label="How large" value={fit} onChange={(event) => setFits(event.target.value as typeof fits)} sx={{ minWidth: 140 }}>
          {one.fits && <MenuItem value="piece">as the bore is</MenuItem>}
          <MenuItem value="usual">as is usual</MenuItem>
          <MenuItem value="own">by number</MenuItem>
        </TextField>
        {fit === "own" && <NumberField key={chosen} field={field} value={size} onChange={(own) => setSizes({ ...sizes, [chosen]: own })} />}
        <Button variant="contained" disabled={busy || anyWrong} onClick={() => void put()}>Put it up</Button>
      </Stack>
      <Typography variant="body2" color="text.secondary" sx={{ mt: 0.75 }}>
        {words} {through ? (piece ? `through the bore of ${piece.name}, where it has one` : "in the middle: take a piece in hand for its bore") : "for all that is shown"}. It stands in the list of references, is shown and hidden by its eye, in pictures too, and is never made with a piece.
      </Typography>
    </>
  );
}
