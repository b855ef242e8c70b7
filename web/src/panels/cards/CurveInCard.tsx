/** Bring curves in: what the file holds is told and shown before anything is put down. */
import Button from "@mui/material/Button";
import CircularProgress from "@mui/material/CircularProgress";
import MenuItem from "@mui/material/MenuItem";
import Stack from "@mui/material/Stack";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useEffect, useMemo, useState } from "react";
import { give, preview as show } from "../../live/line";
import { attempt } from "../../live/picks";
import { service } from "../../live/service";
import { useUnit } from "../../live/stores/design";
import { say } from "../../live/stores/problem";
import { takeTool } from "../../live/tooling";
import type { CardProps } from "../../model/tool";
import type { CurveFile } from "../../model/types";
import { lengthsWords, lengthWords } from "../../model/units";
import { CardHead } from "../parts/CardHead";
import { useDroppedFile } from "../parts/useDroppedFile";
import { useEntered } from "../parts/useEntered";
import { useFor } from "../parts/useFor";

export default function CurveInCard({ tool }: CardProps) {
  const [file, setFile] = useDroppedFile();
  const [serial, setSerial] = useState(0);
  const [unit, setUnit] = useState("mm");
  const [answer, setAnswer] = useFor<{ read: CurveFile | null }>(`${serial} ${unit}`);
  const shownIn = useUnit();
  const read = answer?.read ?? null;
  const busy = file !== null && answer === null;
  useEffect(() => {
    if (!file) return;
    let late = false;
    let found: CurveFile | null = null;
    say(null);
    void attempt(async () => {
      found = await service.readCurves(file, unit);
      if (!late) show(found.command);
    }).finally(() => !late && setAnswer({ read: found }));
    return () => {
      late = true;
    };
  }, [file, unit, setAnswer]);
  const choose = (chosen: File | null) => {
    setFile(chosen);
    setSerial(serial + 1);
  };
  const put = useMemo(() => read && (() => {
    void give(read.command);
    takeTool(null);
  }), [read]);
  useEntered(put);
  return (
    <>
      <Stack direction="row" spacing={1.25} useFlexGap sx={{ alignItems: "center", flexWrap: "wrap", rowGap: 1 }}>
        <CardHead drawing={tool.icon}>{file ? file.name : tool.name}</CardHead>
        {file && /\.dxf$/i.test(file.name) && (
          <TextField select label="Where it says no unit" value={unit} onChange={(event) => setUnit(event.target.value)} sx={{ minWidth: 150 }}>
            {["mm", "cm", "m", "in"].map((u) => <MenuItem key={u} value={u}>{u}</MenuItem>)}
          </TextField>
        )}
        <Button component="label" variant={read ? "outlined" : "contained"} disabled={busy} startIcon={busy ? <CircularProgress size={16} /> : undefined}>
          {busy ? "Reading" : file ? "Another file" : "Choose a file"}
          <input hidden type="file" accept={tool.files?.join(",")} aria-label="Curve file" onChange={(event) => choose(event.target.files?.[0] ?? null)} />
        </Button>
        {put && <Button variant="contained" onClick={put}>Put them down</Button>}
      </Stack>
      <Typography variant="body2" color="text.secondary" role="status" data-testid="curves-read" sx={{ mt: 0.75 }}>
        {read
          ? `${read.count} ${read.count === 1 ? "curve" : "curves"}, ${read.closed} of them closed; ${read.points} control points, ${lengthWords(read.length, shownIn)} in all; ${lengthsWords(read.size, shownIn)}.`
          : `SVG and DXF at real size, on the ground. Straight lines stay straight, corners stay corners; the rest keeps within ${lengthWords(0.01, shownIn)}.`}
      </Typography>
    </>
  );
}
