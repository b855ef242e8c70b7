/** Bring a cage in: what is set right on the way is listed and shown before anything is put down. */
import Button from "@mui/material/Button";
import Checkbox from "@mui/material/Checkbox";
import CircularProgress from "@mui/material/CircularProgress";
import FormControlLabel from "@mui/material/FormControlLabel";
import MenuItem from "@mui/material/MenuItem";
import Stack from "@mui/material/Stack";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useEffect, useMemo, useRef, useState } from "react";
import { give, preview as show } from "../../live/line";
import { attempt } from "../../live/picks";
import { say } from "../../live/stores/problem";
import { useAnyWrong } from "../../live/stores/wrong";
import { takeTool } from "../../live/tooling";
import { service } from "../../live/service";
import type { CageFile } from "../../model/types";
import type { NumberField as Field } from "../../model/fields";
import type { CardProps } from "../../model/tool";
import { CardHead } from "../parts/CardHead";
import { NumberField } from "../parts/NumberField";
import { useDroppedFile } from "../parts/useDroppedFile";
import { useEntered } from "../parts/useEntered";
import { useFor } from "../parts/useFor";

const mergeField: Field = { is: "number", label: "Merge within", unit: "mm", initial: 0.001, step: 0.01, min: 0 };
const holesField: Field = { is: "number", label: "Fill holes up to", unit: "", initial: 0, step: 1, min: 0, max: 200, whole: true };
const knowTheirUnit = /\.(usd[ac]?|glb|3mf)$/i;

export default function CageInCard({ tool }: CardProps) {
  const input = useRef<HTMLInputElement>(null);
  const [file, setFile] = useDroppedFile();
  const [serial, setSerial] = useState(0);
  const [unit, setUnit] = useState("mm");
  const [merge, setMerge] = useState(0.001);
  const [holes, setHoles] = useState(0);
  const [pair, setPair] = useState(true);
  // The answer belongs to the file and to the ways in which it was to be set right; a refusal is one, too.
  const [answer, setAnswer] = useFor<{ read: CageFile | null }>(`${serial} ${unit} ${merge} ${holes} ${pair}`);
  const read = answer?.read ?? null;
  const anyWrong = useAnyWrong();
  const busy = file !== null && answer === null;
  useEffect(() => {
    if (!file) return;
    let late = false;
    let found: CageFile | null = null;
    say(null);
    void attempt(async () => {
      found = await service.readCage(file, { unit, merge, holes, pair });
      if (!late) show(found.command);
    }).finally(() => !late && setAnswer({ read: found }));
    return () => {
      late = true;
    };
  }, [file, unit, merge, holes, pair, setAnswer]);
  const choose = (chosen: File | null) => {
    setFile(chosen);
    setSerial(serial + 1);
  };
  const put = useMemo(() => read && (() => {
    void give(read.command);
    takeTool(null);
  }), [read]);
  useEntered(put);
  const lines = read ? [...read.remarks, ...read.findings.map((f) => f.words)] : [];
  return (
    <>
      <Stack direction="row" spacing={1.25} useFlexGap sx={{ alignItems: "center", flexWrap: "wrap", rowGap: 1 }}>
        <CardHead drawing={tool.icon}>{file ? file.name : "Cage from a file"}</CardHead>
        {!(file && knowTheirUnit.test(file.name)) && (
          <TextField select label="File's unit" value={unit} onChange={(event) => setUnit(event.target.value)} sx={{ minWidth: 90 }}>
            {["mm", "cm", "m", "in"].map((u) => <MenuItem key={u} value={u}>{u}</MenuItem>)}
          </TextField>
        )}
        <NumberField field={mergeField} value={merge} onChange={setMerge} />
        <NumberField field={holesField} value={holes} onChange={setHoles} />
        <FormControlLabel control={<Checkbox size="small" checked={pair} onChange={(event) => setPair(event.target.checked)} />} label={<Typography variant="body2">Triangles to quads</Typography>} />
        <Button component="label" variant={read ? "outlined" : "contained"} disabled={busy} startIcon={busy ? <CircularProgress size={16} /> : undefined}>
          {busy ? "Reading" : file ? "Another file" : "Choose a file"}
          <input ref={input} hidden type="file" accept={tool.files?.join(",")} aria-label="Cage file" onChange={(event) => choose(event.target.files?.[0] ?? null)} />
        </Button>
        {put && <Button variant="contained" disabled={anyWrong} onClick={put}>Put it down</Button>}
      </Stack>
      <Typography variant="body2" color="text.secondary" role="status" data-testid="findings" sx={{ mt: 0.75 }}>
        {read
          ? `${read.face_count} faces, ${read.quad_count} of them quads; ${read.open_edge_count ? `open along ${read.open_edge_count} edges` : "closed"}. ${lines.length ? lines.join(" ") : "Nothing had to be set right."}`
          : "OBJ, PLY and USD come with their polygons, USD and PLY with creases; STL, GLB and 3MF as triangles, paired to quads where they fit. Nothing is put down before you say so."}
      </Typography>
    </>
  );
}
