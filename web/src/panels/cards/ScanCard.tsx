/** The simulated scanner: of what, how fine and how rough; its scan is put down as a component. */
import Button from "@mui/material/Button";
import CircularProgress from "@mui/material/CircularProgress";
import MenuItem from "@mui/material/MenuItem";
import Stack from "@mui/material/Stack";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { attempt } from "../../live/picks";
import { service } from "../../live/service";
import { useDesign, usePiece } from "../../live/stores/design";
import { usePicking } from "../../live/stores/picking";
import { show } from "../../live/stores/show";
import { tools } from "../../live/stores/session";
import { useAnyWrong } from "../../live/stores/wrong";
import { takeTool } from "../../live/tooling";
import type { NumberField as Field } from "../../model/fields";
import type { CardProps } from "../../model/tool";
import type { ScanAsk } from "../../model/types";
import { CardHead } from "../parts/CardHead";
import { NumberField } from "../parts/NumberField";

const length = (label: string, initial: number, step: number, more: Partial<Field> = {}): Field => ({ is: "number", label, unit: "mm", initial, step, min: 0, ...more });
const count = (label: string, initial: number, max: number): Field => ({ is: "number", label, unit: "", initial, step: 1, min: 0, max, whole: true });

export default function ScanCard({ tool }: CardProps) {
  const piece = usePiece(usePicking((s) => s.piece));
  const anyWrong = useAnyWrong();
  const [busy, setBusy] = useState(false);
  const [asked, setAsked] = useState<Omit<ScanAsk, "piece">>({ spacing: 0.8, noise: 0.05, looks: "turntable", missing: 0, spikes: 0, tossed: false, seed: 1 });
  const set = (change: Partial<typeof asked>) => setAsked({ ...asked, ...change });
  const scan = async () => {
    const { design } = useDesign.getState();
    if (!design || !piece) return;
    setBusy(true);
    await attempt(async () => {
      const { references } = await service.scan(design.id, design.revision, { ...asked, piece: piece.id });
      show({ reference: references.at(-1)?.id ?? null });
      takeTool(tools().forReferences?.id ?? null);
    });
    setBusy(false);
  };
  const faced = piece && !piece.curve;
  return (
    <>
      <Stack direction="row" spacing={1.25} useFlexGap sx={{ alignItems: "center", flexWrap: "wrap", rowGap: 1.1 }}>
        <CardHead drawing={tool.icon}>{tool.name}</CardHead>
        <NumberField field={length("Point to point", 0.8, 0.1, { min: 0.001 })} value={asked.spacing} onChange={(spacing) => set({ spacing })} />
        <NumberField field={length("Noise", 0.05, 0.01)} value={asked.noise} onChange={(noise) => set({ noise })} />
        <TextField select label="Looks" value={asked.looks} onChange={(event) => set({ looks: event.target.value as ScanAsk["looks"] })} sx={{ minWidth: 128 }}>
          <MenuItem value="turntable">around, from a table</MenuItem>
          <MenuItem value="around">from all sides</MenuItem>
        </TextField>
        <NumberField field={length("Missing patch", 0, 1)} value={asked.missing} onChange={(missing) => set({ missing })} />
        <NumberField field={count("Spikes", 0, 1000)} value={asked.spikes} onChange={(spikes) => set({ spikes })} />
        <TextField select label="Comes home" value={asked.tossed ? "tossed" : "placed"} onChange={(event) => set({ tossed: event.target.value === "tossed" })} sx={{ minWidth: 112 }}>
          <MenuItem value="placed">as it lies</MenuItem>
          <MenuItem value="tossed">turned anyhow</MenuItem>
        </TextField>
        <NumberField field={count("Seed", 1, 2 ** 31 - 1)} value={asked.seed} onChange={(seed) => set({ seed })} />
        <Button variant="contained" disabled={busy || anyWrong || !faced} startIcon={busy ? <CircularProgress size={16} /> : undefined} onClick={() => void scan()}>{busy ? "Scanning" : "Scan it"}</Button>
      </Stack>
      <Typography variant="body2" color="text.secondary" sx={{ mt: 0.75 }}>
        {faced ? `A simulated scan of ${piece.name}: for the same seed it is the same.` : "Take a form in hand first: pick one, or click its name."}
      </Typography>
    </>
  );
}
