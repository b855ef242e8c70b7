/** Whether the body can be cast or printed in metal, by numbers that can be changed. */
import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import CircularProgress from "@mui/material/CircularProgress";
import MenuItem from "@mui/material/MenuItem";
import Stack from "@mui/material/Stack";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { attempt } from "../../live/picks";
import { service } from "../../live/service";
import { useDesign, usePiece, useUnit } from "../../live/stores/design";
import { usePicking } from "../../live/stores/picking";
import { useAnyWrong } from "../../live/stores/wrong";
import type { NumberField as Field } from "../../model/fields";
import { holderOf } from "../../model/growths";
import type { CardProps } from "../../model/tool";
import type { CastAnswer, Process } from "../../model/types";
import { lengthWords } from "../../model/units";
import { CardHead } from "../parts/CardHead";
import { NumberField } from "../parts/NumberField";
import { ShowWhere } from "../parts/ShowWhere";
import { useFor } from "../parts/useFor";

const field = (label: string): Field => ({ is: "number", label, unit: "mm", initial: 0.8, step: 0.05, above: 0, max: 100 });
const fields = { wall: field("Least wall"), prong: field("Least prong"), gap: field("Least gap") };
const names = ["wall", "prong", "gap"] as const;

export default function CastingCard({ tool }: CardProps) {
  const { data: processes } = useQuery({ queryKey: ["processes"], queryFn: service.processes, staleTime: Infinity });
  return processes ? <Proof tool={tool} processes={processes} /> : <Typography>Reading the processes…</Typography>;
}

function Proof({ tool, processes }: CardProps & { processes: Process[] }) {
  const design = useDesign((s) => s.design?.id);
  const revision = useDesign((s) => s.design?.revision);
  const inHand = usePiece(usePicking((s) => s.piece));
  const pieces = useDesign((s) => s.design?.pieces);
  const piece = holderOf(inHand, pieces);
  const unit = useUnit();
  const [id, setId] = useState(processes[0].id);
  const [own, setOwn] = useState<Partial<Record<(typeof names)[number], number>>>({});
  const process = processes.find((p) => p.id === id) ?? processes[0];
  const asked = { ...process, ...own };
  // An answer belongs to the form and the numbers that it was given for.
  const [answer, setAnswer] = useFor<CastAnswer>(`${piece?.id} ${revision} ${JSON.stringify(asked)}`);
  const [busy, setBusy] = useState(false);
  const anyWrong = useAnyWrong();
  if (!design || !piece) return <Typography>There is no piece to look at yet.</Typography>;
  const look = async () => {
    setBusy(true);
    await attempt(async () => setAnswer(await service.casting(design, piece.id, { process: id, wall: asked.wall, prong: asked.prong, gap: asked.gap })));
    setBusy(false);
  };
  return (
    <>
      <Stack direction="row" spacing={1.25} useFlexGap sx={{ alignItems: "center", flexWrap: "wrap", rowGap: 1 }}>
        <CardHead drawing={tool.icon}>Casting</CardHead>
        <TextField select size="small" label="Process" value={id} onChange={(event) => { setId(event.target.value); setOwn({}); }} sx={{ minWidth: 140 }}>
          {processes.map((p) => <MenuItem key={p.id} value={p.id}>{p.name}</MenuItem>)}
        </TextField>
        {names.map((name) => (
          <NumberField key={`${id} ${name}`} field={fields[name]} value={asked[name]} onChange={(value) => setOwn({ ...own, [name]: value })} />
        ))}
        <Button variant="contained" disabled={busy || anyWrong} startIcon={busy ? <CircularProgress size={16} /> : undefined} onClick={() => void look()}>
          {busy ? "Looking" : `Prove ${piece.name}`}
        </Button>
      </Stack>
      {answer ? (
        <Stack spacing={0.5} sx={{ mt: 1 }}>
          <Alert severity={answer.holds ? "success" : "error"} data-testid="cast-answer" sx={{ py: 0 }}>
            {answer.holds ? "Nothing was found that hinders it" : `${answer.faults.length} ${answer.faults.length === 1 ? "thing hinders" : "things hinder"} it`}: walls from {lengthWords(answer.wall, unit)} up.
          </Alert>
          {answer.faults.map((fault) => (
            <Typography key={fault.words} variant="body2" sx={{ color: "error.main" }}>
              {fault.words} <ShowWhere piece={piece.id} place={fault.place} />
            </Typography>
          ))}
        </Stack>
      ) : (
        <Typography variant="body2" color="text.secondary" sx={{ mt: 0.75 }}>
          Looks at walls, prongs, gaps between stones, hollows without an outlet and sharp inner corners. The numbers are common
          practice; put your caster's in.
        </Typography>
      )}
    </>
  );
}
