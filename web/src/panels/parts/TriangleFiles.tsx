/** The body by triangles: how fine, how many, certified, and written to files. */
import Button from "@mui/material/Button";
import Stack from "@mui/material/Stack";
import Typography from "@mui/material/Typography";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useEffectEvent, useRef, useState } from "react";
import { attempt } from "../../live/picks";
import { download, service } from "../../live/service";
import { useDesign } from "../../live/stores/design";
import { largerWords, useLarger } from "../../live/stores/larger";
import { useAnyWrong } from "../../live/stores/wrong";
import type { JobReport, KeyedJob, PieceState, SurfaceFacts } from "../../model/types";
import { NumberField } from "./NumberField";
import { ShowWhere } from "./ShowWhere";
import { useFor } from "./useFor";
import { useJob } from "./useJob";

const shrinkage = { is: "number", label: "Larger by", unit: "%", initial: 0, step: 0.5, min: 0, max: 20, help: "for shrinkage; stands in the files' names" } as const;
const tolerances = {
  chord: { is: "number", label: "Chord tolerance", unit: "mm", initial: 0.05, step: 0.01, above: 0, max: 100 },
  turn: { is: "number", label: "Angle tolerance", unit: "°", initial: 180, step: 5, above: 0, max: 180 },
} as const;
const kinds = ["stl", "3mf", "glb", "obj", "ply"] as const;
const bytes = (n: number) => (n > 1e6 ? `${(n / 1e6).toFixed(1)} MB` : `${Math.max(1, Math.round(n / 1e3))} kB`);

function counted(facts: SurfaceFacts): string {
  if (facts.words) return facts.words;
  const count = facts.exact ? facts.triangles : +facts.triangles.toPrecision(2);
  const asSolid = `${(facts.solid_faces ?? 0).toLocaleString("en")} faces as a solid, STEP about ${bytes(facts.bytes.step)}`;
  return `${facts.exact ? "" : "about "}${count.toLocaleString("en")} triangles, STL ${bytes(facts.bytes.stl)}; ${facts.solid_words ? facts.solid_words : asSolid}`;
}

/** How far triangles may lie from the form, in mm, and how far they may turn from one to the next, in degrees. */
interface Fineness {
  chord: number;
  turn: number;
}

/** Where the count is an estimate only, have the triangles made, and see how many they are; called off by what comes next. */
function useCount(design: string, piece: PieceState, { chord, turn }: Fineness, wanted: boolean): void {
  const client = useQueryClient();
  // What cannot be made so is said where the follower stands.
  const counting = useJob(() => client.invalidateQueries({ queryKey: ["facts", design, piece.id] }), () => undefined);
  const begin = useEffectEvent((id: string) => counting.begin(id));
  const cancel = useEffectEvent(() => counting.cancel());
  useEffect(() => {
    if (!wanted) return;
    let stopped = false;
    const count = async () => {
      const job = await service.beginTriangles(design, piece.id, chord, turn);
      if (stopped) await service.cancelJob(job.id);
      else begin(job.id);
    };
    // Not while the form is still being changed.
    const soon = setTimeout(() => void count().catch(() => undefined), 1500);
    return () => {
      stopped = true;
      clearTimeout(soon);
      cancel();
    };
  }, [design, piece.id, piece.made_from, chord, turn, wanted]);
}

/** What is typed, once it stands still for a moment. */
function useSettled({ chord, turn }: Fineness): Fineness {
  const [settled, setSettled] = useState<Fineness>({ chord, turn });
  useEffect(() => {
    const soon = setTimeout(() => setSettled({ chord, turn }), 500);
    return () => clearTimeout(soon);
  }, [chord, turn]);
  return settled;
}

/** Files of triangles: begun, fetched when they are written, and where they are refused, written as far as they go. */
function useFiles(madeFrom: string) {
  const [writing, setWriting] = useState<{ kind: string; address: string; name: string } | null>(null);
  const [refused, setRefused] = useFor<{ words: string; place: JobReport["place"]; again(): void }>(madeFrom);
  const again = useRef<() => void>(() => undefined);
  const { job, begin, cancel } = useJob(async () => {
    if (writing) await download(writing.address, `${writing.name}.${writing.kind}`);
  }, (words, place) => setRefused({ words, place, again: () => again.current() }));
  const write = (kind: string, name: string, ask: (anyway: boolean) => Promise<KeyedJob>, anyway = false) =>
    void attempt(async () => {
      setRefused(null);
      again.current = () => write(kind, name, ask, true);
      const begun = await ask(anyway);
      const called = anyway ? `${name}, as far as it goes` : name;
      setWriting({ kind, name: called, address: service.fileAddress(begun.key, kind, called) });
      begin(begun.job.id);
    });
  return { job, cancel, write, refused };
}

export function TriangleFiles({ design, piece }: { design: string; piece: PieceState }) {
  const [chord, setChord] = useState<number>(tolerances.chord.initial);
  const [turn, setTurn] = useState<number>(tolerances.turn.initial);
  const larger = useLarger((s) => s.larger);
  const sound = !useAnyWrong();
  const asked = useSettled({ chord, turn });
  const { data: facts, error, isFetching } = useQuery({
    queryKey: ["facts", design, piece.id, piece.made_from, asked.chord, asked.turn],
    queryFn: () => service.surfaceFacts(design, piece.id, asked.chord, asked.turn),
    retry: false,
  });
  const client = useQueryClient();
  useCount(design, piece, asked, !!facts && !facts.exact && !facts.words);
  const files = useFiles(piece.made_from);
  const measuring = useJob(() => client.invalidateQueries({ queryKey: ["certificate", design, piece.id] }));
  const certify = () => void attempt(async () => measuring.begin((await service.beginTrianglesCertificate(design, piece.id, chord, turn)).id));
  const under = measuring.job ?? files.job;
  const idle = files.job === null && sound;
  const said = () => {
    if (under) return `${under.words} (${Math.round(100 * under.progress)} %)`;
    if (isFetching) return "Counting triangles…";
    return facts && !error ? counted(facts) : "";
  };
  return (
    <Stack direction="row" spacing={1} useFlexGap sx={{ alignItems: "center", flexWrap: "wrap", borderTop: 1, borderColor: "divider", pt: 1 }}>
      <NumberField field={tolerances.chord} value={chord} onChange={setChord} />
      <NumberField field={tolerances.turn} value={turn} onChange={setTurn} />
      <NumberField field={shrinkage} value={larger} onChange={(value) => useLarger.setState({ larger: value })} />
      {kinds.map((kind) => (
        <Button
          key={kind}
          variant="outlined"
          size="small"
          aria-label={`Download ${kind.toUpperCase()}`}
          sx={{ minWidth: 48 }}
          title={facts?.bytes[kind] ? `about ${bytes(facts.bytes[kind])}` : undefined}
          disabled={!idle}
          onClick={() => files.write(kind, piece.name + largerWords(larger), (anyway) => service.beginFile(design, piece.id, kind, { tolerance: chord, angle: turn }, larger, anyway))}
        >
          {kind.toUpperCase()}
        </Button>
      ))}
      {under ? (
        <Button size="small" color="inherit" aria-label={measuring.job ? "Stop measuring" : "Stop writing the file"} onClick={measuring.job ? measuring.cancel : files.cancel}>Stop</Button>
      ) : (
        <Button size="small" variant="outlined" disabled={!sound} title="Measures the body as these files hold it" onClick={certify}>Certify triangles</Button>
      )}
      <AllInOne disabled={!idle} save={(kind, name) => files.write(kind, name, (anyway) => service.beginSolidsFile(design, kind, chord, turn, anyway))} />
      {files.refused && !under && (
        <Typography variant="body2" data-testid="not-written" sx={{ flexBasis: "100%", color: "error.main" }}>
          Nothing was written. {files.refused.words} <ShowWhere piece={piece.id} place={files.refused.place} />
          <Button size="small" color="inherit" onClick={files.refused.again} sx={{ py: 0, textDecoration: "underline" }}>Write it as far as it goes</Button>
        </Typography>
      )}
      <Typography variant="body2" color="text.secondary" data-testid="facts" sx={{ flexBasis: "100%" }}>{said()}</Typography>
    </Stack>
  );
}

/** Where there are several pieces: all that are shown, in one file. */
function AllInOne({ disabled, save }: { disabled: boolean; save(kind: string, name: string): void }) {
  const name = useDesign((s) => s.design?.name) ?? "Design";
  const several = useDesign((s) => (s.design?.pieces.filter((p) => p.visible).length ?? 0) > 1);
  if (!several) return null;
  return (
    <>
      <Typography variant="body2" color="text.secondary">All shown pieces in one file:</Typography>
      {["step", "3mf"].map((kind) => (
        <Button key={kind} variant="outlined" size="small" aria-label={`Download all as ${kind.toUpperCase()}`} disabled={disabled} onClick={() => save(kind, name)}>
          {kind.toUpperCase()}
        </Button>
      ))}
    </>
  );
}
