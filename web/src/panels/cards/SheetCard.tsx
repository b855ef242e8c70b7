/** The proof sheet: on which paper, how large, weighed in what; drawn as a job, fetched as a page or as PDF. */
import Button from "@mui/material/Button";
import LinearProgress from "@mui/material/LinearProgress";
import MenuItem from "@mui/material/MenuItem";
import Stack from "@mui/material/Stack";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { attempt } from "../../live/picks";
import { download, service } from "../../live/service";
import { useDesign } from "../../live/stores/design";
import type { CardProps } from "../../model/tool";
import type { SheetAsk } from "../../model/types";
import { CardHead } from "../parts/CardHead";
import { useFor } from "../parts/useFor";
import { useJob } from "../parts/useJob";

const papers: NonNullable<SheetAsk["paper"]>[] = ["A4", "A3", "Letter"];
const scales = { no: "true size, enlarged if small", yes: "true size, if it fits" } as const;

export default function SheetCard({ tool }: CardProps) {
  const id = useDesign((s) => s.design?.id);
  const name = useDesign((s) => s.design?.name ?? "");
  const revision = useDesign((s) => s.design?.revision ?? 0);
  const [paper, setPaper] = useState<NonNullable<SheetAsk["paper"]>>("A4");
  const [whole, setWhole] = useState<keyof typeof scales>("no");
  // What it may weigh was asked in the material that it is to be of.
  const weighed = useDesign((s) => s.design?.proofs.find((proof) => proof.kind === "weight")?.material);
  const [material, setMaterial] = useState(weighed ?? "Silver, 925 with copper");
  const { data: materials = [] } = useQuery({ queryKey: ["materials"], queryFn: service.materials, staleTime: Infinity });
  // A sheet is of one revision, on one paper.
  const asked = `${id} ${revision} ${paper} ${whole} ${material}`;
  const [drawn, setDrawn] = useFor<{ key: string; called: string }>(asked);
  const [begun, setBegun] = useState<{ key: string; called: string } | null>(null);
  const work = useJob(() => setDrawn(begun));
  if (!id) return null;
  const draw = () =>
    void attempt(async () => {
      const { job, key } = await service.beginSheet(id, { paper, true_size: whole === "yes", material });
      setBegun({ key, called: `${name}, sheet of revision ${revision}` });
      work.begin(job.id);
    });
  const fetchIt = (kind: "html" | "pdf") =>
    drawn && void attempt(() => download(service.sheetAddress(drawn.key, kind, drawn.called), `${drawn.called}.${kind}`));
  return (
    <>
      <Stack direction="row" spacing={1.25} useFlexGap sx={{ alignItems: "center", flexWrap: "wrap", rowGap: 1 }}>
        <CardHead drawing={tool.icon}>Proof sheet</CardHead>
        <TextField select label="Paper" value={paper} onChange={(event) => setPaper(event.target.value as typeof paper)} sx={{ minWidth: 84 }}>
          {papers.map((one) => <MenuItem key={one} value={one}>{one}</MenuItem>)}
        </TextField>
        <TextField select label="Drawn" value={whole} onChange={(event) => setWhole(event.target.value as keyof typeof scales)} sx={{ minWidth: 200 }}>
          {Object.entries(scales).map(([one, words]) => <MenuItem key={one} value={one}>{words}</MenuItem>)}
        </TextField>
        <TextField select label="Weighed in" value={materials.some((m) => m.name === material) ? material : ""} onChange={(event) => setMaterial(event.target.value)} sx={{ minWidth: 170 }}>
          {materials.map((one) => <MenuItem key={one.name} value={one.name}>{one.name}</MenuItem>)}
        </TextField>
        <Button variant={drawn ? "outlined" : "contained"} disabled={work.job !== null} onClick={draw}>{drawn ? "Draw it again" : "Draw the sheet"}</Button>
        {work.job && <Button color="inherit" onClick={work.cancel}>Stop</Button>}
        {drawn && !work.job && (
          <>
            <Button variant="contained" onClick={() => fetchIt("pdf")}>PDF</Button>
            <Button variant="outlined" onClick={() => fetchIt("html")}>Page (HTML)</Button>
          </>
        )}
      </Stack>
      {work.job ? (
        <Stack direction="row" spacing={1.5} sx={{ alignItems: "center", mt: 1 }}>
          <LinearProgress aria-label="Drawing the sheet" variant="determinate" value={100 * work.job.progress} sx={{ width: 180 }} />
          <Typography variant="body2" role="status">{work.job.words}</Typography>
        </Stack>
      ) : (
        <Typography variant="body2" color="text.secondary" sx={{ mt: 0.75 }} data-testid="sheet-said">
          {drawn
            ? "Drawn. Print it at 100 %: the ruler on it tells whether the printer kept to that."
            : "Three views with the dimensions, what the pieces weigh, what holds, the stones and the maps: for whoever makes it."}
        </Typography>
      )}
    </>
  );
}
