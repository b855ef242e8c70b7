/** The piece in hand as a solid: made in the background, measured, and written to files. */
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import InputAdornment from "@mui/material/InputAdornment";
import LinearProgress from "@mui/material/LinearProgress";
import Stack from "@mui/material/Stack";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useQuery } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { useBench } from "../live/bench";
import { download, service } from "../live/service";
import type { Certificate, PieceState } from "../live/types";
import { CertificateTable } from "./CertificateTable";
import { useJob } from "./useJob";

export function SolidCard() {
  const { design, piece: current } = useBench();
  const piece = design?.pieces.find((p) => p.id === current) ?? design?.pieces[0];
  if (!design || !piece) return <Typography>There is no piece to make a solid of yet.</Typography>;
  return <Making key={piece.id} design={design.id} piece={piece} />;
}

/** Solids that were asked for are kept up to date while their card is open. */
const wanted = new Set<string>();
/** The solid last seen of a piece, to be shown until there is one of the form as it is now. */
const seen = new Map<string, Certificate>();
const REST = 700;

function Making({ design, piece }: { design: string; piece: PieceState }) {
  const { attempt, lookForSolids, preview } = useBench();
  const { data: certificate, refetch } = useQuery({
    queryKey: ["certificate", design, piece.id, piece.made_from],
    queryFn: () => service.certificate(design, piece.id),
  });
  const key = `${design} ${piece.id}`;
  const last = seen.get(key) ?? null;
  const { job, begin, cancel } = useJob(async () => {
    await refetch();
    lookForSolids();
  }, "The body by triangles can be written all the same: STL, 3MF and the others below.");
  useEffect(() => {
    if (!certificate) return;
    seen.set(key, certificate);
    wanted.add(key);
  }, [certificate, key]);
  const make = () => void attempt(async () => begin((await service.beginSolid(design, piece.id)).id));
  const stale = certificate === null && last !== null;
  // What is under way was begun for a form that is no more: the newer one takes its place.
  useEffect(() => {
    if (!stale || !wanted.has(key) || preview) return;
    if (job) cancel();
    const soon = setTimeout(make, REST);
    return () => clearTimeout(soon);
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [piece.made_from, stale, preview === null]);
  const shown = certificate ?? last;
  return (
    <Stack spacing={1} sx={{ minWidth: 560 }}>
      <Stack direction="row" spacing={1.5} sx={{ alignItems: "center" }}>
        <Typography variant="h3" sx={{ flexGrow: 1 }}>
          {stale ? `${piece.name} has changed: this is the solid before` : certificate ? `Certificate of ${piece.name}` : `Make ${piece.name} a solid`}
        </Typography>
        {job ? (
          <Button color="inherit" onClick={() => { wanted.delete(key); cancel(); }}>Cancel</Button>
        ) : certificate ? (
          <>
            <Button variant="outlined" onClick={() => saveText(certificate, piece.name)}>Certificate as JSON</Button>
            <Button variant="outlined" onClick={() => void attempt(() => download(service.pageAddress(design, piece.id), `${piece.name}, certificate.html`))}>
              As a page
            </Button>
            <Button variant="contained" onClick={() => void attempt(() => download(service.stepAddress(design, piece.id), `${piece.name}.step`))}>
              Download STEP
            </Button>
          </>
        ) : (
          <Button variant="contained" onClick={make}>Make solid</Button>
        )}
      </Stack>
      {job && (
        <Box>
          <LinearProgress variant="determinate" aria-label="Making the solid" value={100 * job.progress} />
          <Typography variant="body2" color="text.secondary" role="status">{job.words}</Typography>
        </Box>
      )}
      {shown && <CertificateTable certificate={shown} stale={stale} />}
      {!shown && !job && (
        <Typography variant="body2" color="text.secondary">
          One bicubic face for each face of the cage, and what its followers make of it. The cage stays: pull it, and the solid
          is made anew.
        </Typography>
      )}
      <Files design={design} piece={piece} />
    </Stack>
  );
}

const kinds = ["stl", "3mf", "glb", "obj", "ply"] as const;
const bytes = (n: number) => (n > 1e6 ? `${(n / 1e6).toFixed(1)} MB` : `${Math.max(1, Math.round(n / 1e3))} kB`);

function Files({ design, piece }: { design: string; piece: PieceState }) {
  const { attempt } = useBench();
  const [tolerance, setTolerance] = useState("0.05");
  const [angle, setAngle] = useState("180");
  const chord = Number(tolerance.replace(",", "."));
  const turn = Number(angle.replace(",", "."));
  const wrong = !(chord > 0 && chord <= 100);
  const askew = !(turn > 0 && turn <= 180);
  const [asked, setAsked] = useState({ chord, turn });
  useEffect(() => {
    const soon = setTimeout(() => !wrong && !askew && setAsked({ chord, turn }), 500);
    return () => clearTimeout(soon);
  }, [chord, turn, wrong, askew]);
  const { data: facts, error, isFetching } = useQuery({
    queryKey: ["facts", design, piece.id, piece.made_from, asked.chord, asked.turn],
    queryFn: () => service.surfaceFacts(design, piece.id, asked.chord, asked.turn),
    retry: false,
  });
  const [writing, setWriting] = useState<{ key: string; kind: string } | null>(null);
  const { job, begin, cancel } = useJob(async () => {
    if (writing) await download(service.fileAddress(writing.key, writing.kind, piece.name), `${piece.name}.${writing.kind}`);
  });
  const save = (kind: string) =>
    void attempt(async () => {
      const begun = await service.beginFile(design, piece.id, kind, chord, turn);
      setWriting({ key: begun.key, kind });
      begin(begun.job.id);
    });
  return (
    <Stack direction="row" spacing={1} useFlexGap sx={{ alignItems: "center", flexWrap: "wrap", borderTop: 1, borderColor: "divider", pt: 1 }}>
      <TextField
        label="Chord tolerance"
        value={tolerance}
        error={wrong}
        helperText={wrong ? "more than 0, at most 100" : undefined}
        onChange={(event) => setTolerance(event.target.value)}
        slotProps={{ htmlInput: { inputMode: "decimal" }, input: { endAdornment: <InputAdornment position="end">mm</InputAdornment> } }}
        sx={{ width: 130 }}
      />
      <TextField
        label="Angle tolerance"
        value={angle}
        error={askew}
        helperText={askew ? "more than 0, at most 180" : undefined}
        onChange={(event) => setAngle(event.target.value)}
        slotProps={{ htmlInput: { inputMode: "decimal" }, input: { endAdornment: <InputAdornment position="end">°</InputAdornment> } }}
        sx={{ width: 118 }}
      />
      {kinds.map((kind) => (
        <Button
          key={kind}
          variant="outlined"
          size="small"
          aria-label={`Download ${kind.toUpperCase()}`}
          title={facts?.bytes[kind] ? `about ${bytes(facts.bytes[kind])}` : undefined}
          disabled={job !== null || wrong || askew}
          onClick={() => save(kind)}
        >
          {kind.toUpperCase()}
        </Button>
      ))}
      <Typography variant="body2" color="text.secondary" data-testid="facts" sx={{ flexGrow: 1 }}>
        {job ? `${job.words} (${Math.round(100 * job.progress)} %)` : facts?.words ? facts.words : facts && !isFetching ? `${facts.exact ? "" : "about "}${(facts.exact ? facts.triangles : +facts.triangles.toPrecision(2)).toLocaleString("en")} triangles, STL ${bytes(facts.bytes.stl)}` : error || facts === null ? "" : "Counting triangles…"}
      </Typography>
      {job && <Button size="small" color="inherit" aria-label="Stop writing the file" onClick={cancel}>Stop</Button>}
    </Stack>
  );
}

function saveText(certificate: Certificate, name: string): void {
  const link = document.createElement("a");
  link.href = URL.createObjectURL(new Blob([JSON.stringify(certificate, null, 2)], { type: "application/json" }));
  link.download = `${name}, certificate.json`;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
}
