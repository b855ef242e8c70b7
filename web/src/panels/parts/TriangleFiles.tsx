/** The body by triangles: how fine, how many, certified, and written to files. */
import Button from "@mui/material/Button";
import InputAdornment from "@mui/material/InputAdornment";
import Stack from "@mui/material/Stack";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useRef, useState } from "react";
import { attempt } from "../../live/picks";
import { download, service } from "../../live/service";
import { useDesign } from "../../live/stores/design";
import type { JobReport, PieceState, SurfaceFacts } from "../../model/types";
import { ShowWhere } from "./ShowWhere";
import { useJob } from "./useJob";

const kinds = ["stl", "3mf", "glb", "obj", "ply"] as const;
const bytes = (n: number) => (n > 1e6 ? `${(n / 1e6).toFixed(1)} MB` : `${Math.max(1, Math.round(n / 1e3))} kB`);

function counted(facts: SurfaceFacts): string {
  if (facts.words) return facts.words;
  const count = facts.exact ? facts.triangles : +facts.triangles.toPrecision(2);
  const solid = facts.solid_words || `${(facts.solid_faces ?? 0).toLocaleString("en")} faces as a solid, STEP about ${bytes(facts.bytes.step)}`;
  return `${facts.exact ? "" : "about "}${count.toLocaleString("en")} triangles, STL ${bytes(facts.bytes.stl)}; ${solid}`;
}

/** Where the count is an estimate only, have the triangles made, and see how many they are; called off by what comes next. */
function useCount(design: string, piece: PieceState, asked: { chord: number; turn: number }, wanted: boolean): void {
  const client = useQueryClient();
  const { chord, turn } = asked;
  // What cannot be made so is said where the follower stands.
  const counting = useJob(() => client.invalidateQueries({ queryKey: ["facts", design, piece.id] }), () => undefined);
  const [begin, cancel] = [useRef(counting.begin), useRef(counting.cancel)];
  [begin.current, cancel.current] = [counting.begin, counting.cancel];
  useEffect(() => {
    if (!wanted) return;
    let stopped = false;
    const count = async () => {
      const job = await service.beginTriangles(design, piece.id, chord, turn);
      if (stopped) await service.cancelJob(job.id);
      else begin.current(job.id);
    };
    // Not while the form is still being changed.
    const soon = setTimeout(() => void count().catch(() => undefined), 1500);
    return () => {
      stopped = true;
      clearTimeout(soon);
      cancel.current();
    };
  }, [design, piece.id, piece.made_from, chord, turn, wanted]);
}

export function TriangleFiles({ design, piece }: { design: string; piece: PieceState }) {
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
  const [writing, setWriting] = useState<{ kind: string; address: string; name: string } | null>(null);
  const [refused, setRefused] = useState<{ made_from: string; words: string; place: JobReport["place"]; again(): void } | null>(null);
  const again = useRef<() => void>(() => undefined);
  const whole = useDesign((s) => s.design?.name) ?? "Design";
  const several = useDesign((s) => (s.design?.pieces.filter((p) => p.visible).length ?? 0) > 1);
  const client = useQueryClient();
  useCount(design, piece, asked, facts !== undefined && facts !== null && !facts.exact && !facts.words);
  const { job, begin, cancel } = useJob(async () => {
    if (writing) await download(writing.address, `${writing.name}.${writing.kind}`);
  }, (words, place) => setRefused({ made_from: piece.made_from, words, place, again: again.current }));
  const measuring = useJob(() => client.invalidateQueries({ queryKey: ["certificate", design, piece.id] }));
  const certify = () => void attempt(async () => measuring.begin((await service.beginTrianglesCertificate(design, piece.id, chord, turn)).id));
  const save = (kind: string, anyway = false) =>
    void attempt(async () => {
      setRefused(null);
      again.current = () => save(kind, true);
      const begun = await service.beginFile(design, piece.id, kind, chord, turn, anyway);
      const name = anyway ? `${piece.name}, as far as it goes` : piece.name;
      setWriting({ kind, name, address: service.fileAddress(begun.key, kind, name) });
      begin(begun.job.id);
    });
  const saveAll = (kind: string, anyway = false) =>
    void attempt(async () => {
      setRefused(null);
      again.current = () => saveAll(kind, true);
      const begun = await service.beginSolidsFile(design, kind, chord, turn, anyway);
      const name = anyway ? `${whole}, as far as it goes` : whole;
      setWriting({ kind, name, address: service.fileAddress(begun.key, kind, name) });
      begin(begun.job.id);
    });
  const under = measuring.job ?? job;
  return (
    <Stack direction="row" spacing={1} useFlexGap sx={{ alignItems: "center", flexWrap: "wrap", borderTop: 1, borderColor: "divider", pt: 1 }}>
      <TextField
        label="Chord tolerance"
        value={tolerance}
        error={wrong}
        helperText={wrong ? "more than 0, at most 100" : undefined}
        onChange={(event) => setTolerance(event.target.value)}
        slotProps={{ htmlInput: { inputMode: "decimal" }, input: { endAdornment: <InputAdornment position="end">mm</InputAdornment> } }}
        sx={{ width: 122 }}
      />
      <TextField
        label="Angle tolerance"
        value={angle}
        error={askew}
        helperText={askew ? "more than 0, at most 180" : undefined}
        onChange={(event) => setAngle(event.target.value)}
        slotProps={{ htmlInput: { inputMode: "decimal" }, input: { endAdornment: <InputAdornment position="end">°</InputAdornment> } }}
        sx={{ width: 110 }}
      />
      {kinds.map((kind) => (
        <Button
          key={kind}
          variant="outlined"
          size="small"
          aria-label={`Download ${kind.toUpperCase()}`}
          sx={{ minWidth: 52 }}
          title={facts?.bytes[kind] ? `about ${bytes(facts.bytes[kind])}` : undefined}
          disabled={job !== null || wrong || askew}
          onClick={() => save(kind)}
        >
          {kind.toUpperCase()}
        </Button>
      ))}
      {under ? (
        <Button size="small" color="inherit" aria-label={measuring.job ? "Stop measuring" : "Stop writing the file"} onClick={measuring.job ? measuring.cancel : cancel}>Stop</Button>
      ) : (
        <Button size="small" variant="outlined" disabled={wrong || askew} title="Measures the body as these files hold it" onClick={certify}>Certify triangles</Button>
      )}
      {several && (
        <>
          <Typography variant="body2" color="text.secondary">All shown pieces in one file:</Typography>
          {["step", "3mf"].map((kind) => (
            <Button key={kind} variant="outlined" size="small" aria-label={`Download all as ${kind.toUpperCase()}`} disabled={job !== null || wrong || askew} onClick={() => saveAll(kind)}>
              {kind.toUpperCase()}
            </Button>
          ))}
        </>
      )}
      {refused?.made_from === piece.made_from && !under && (
        <Typography variant="body2" data-testid="not-written" sx={{ flexBasis: "100%", color: "error.main" }}>
          Nothing was written. {refused.words} <ShowWhere piece={piece.id} place={refused.place} />
          <Button size="small" color="inherit" onClick={refused.again} sx={{ py: 0, textDecoration: "underline" }}>Write it as far as it goes</Button>
        </Typography>
      )}
      <Typography variant="body2" color="text.secondary" data-testid="facts" sx={{ flexBasis: "100%" }}>
        {under ? `${under.words} (${Math.round(100 * under.progress)} %)` : isFetching ? "Counting triangles…" : facts && !error ? counted(facts) : ""}
      </Typography>
    </Stack>
  );
}
