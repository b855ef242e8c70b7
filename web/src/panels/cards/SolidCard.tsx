/** The piece in hand as a solid: made in the background, measured, and written to files. */
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import LinearProgress from "@mui/material/LinearProgress";
import Stack from "@mui/material/Stack";
import Typography from "@mui/material/Typography";
import { useQuery } from "@tanstack/react-query";
import { useEffect, useEffectEvent } from "react";
import { lookForSolids } from "../../live/line";
import { attempt } from "../../live/picks";
import { download, service } from "../../live/service";
import { useDesign } from "../../live/stores/design";
import { largerWords, useLarger } from "../../live/stores/larger";
import { usePicking } from "../../live/stores/picking";
import type { Certificate, JobReport, PieceState } from "../../model/types";
import { CertificateTable, shortFaults } from "../parts/CertificateTable";
import { ShowWhere } from "../parts/ShowWhere";
import { TriangleFiles } from "../parts/TriangleFiles";
import { useFor } from "../parts/useFor";
import { useJob } from "../parts/useJob";

export default function SolidCard() {
  const current = usePicking((s) => s.piece);
  const design = useDesign((s) => s.design?.id);
  const piece = useDesign((s) => s.design?.pieces.find((p) => p.id === current) ?? s.design?.pieces.find((p) => !p.curve));
  if (!design || !piece) return <Typography>There is no piece to make a solid of yet.</Typography>;
  if (piece.curve) return <Typography role="status">{`${piece.name} is a curve, and encloses nothing: let a pipe or a loft grow from it, or take a piece with faces in hand.`}</Typography>;
  return <Making key={piece.id} design={design} piece={piece} />;
}

/** Solids that were asked for are kept up to date while their card is open. */
const wanted = new Set<string>();
/** The solid last seen of a piece, to be shown until there is one of the form as it is now. */
const seen = new Map<string, Certificate>();
const REST = 700;

function Making({ design, piece }: { design: string; piece: PieceState }) {
  const key = `${design} ${piece.id}`;
  const { data: certificate, refetch } = useQuery({
    queryKey: ["certificate", design, piece.id, piece.made_from],
    queryFn: () => service.certificate(design, piece.id),
  });
  const last = seen.get(key) ?? null;
  const stale = certificate === null && last !== null;
  const solid = certificate?.route === "kernel";
  const [refused, setRefused] = useFor<{ words: string; place: JobReport["place"] }>(piece.made_from);
  const { job, begin, cancel } = useJob(async () => {
    await refetch();
    lookForSolids();
  }, (words, place) => setRefused({ words, place }));
  useEffect(() => {
    if (!certificate) return;
    seen.set(key, certificate);
    if (certificate.route === "kernel") wanted.add(key);
  }, [certificate, key]);
  const make = () => void attempt(async () => begin((await service.beginSolid(design, piece.id)).id));
  useAnew(key, piece.made_from, stale, () => {
    if (job) cancel();
  }, make);
  const callOff = () => {
    wanted.delete(key);
    cancel();
  };
  const shown = certificate ?? last;
  return (
    <Stack spacing={1} sx={{ minWidth: 560 }}>
      <Stack direction="row" spacing={1.5} sx={{ alignItems: "center" }}>
        <Typography component="h2" variant="h3" sx={{ flexGrow: 1 }}>{headOf(piece.name, certificate ?? null, stale)}</Typography>
        {job && <Button color="inherit" onClick={callOff}>Cancel</Button>}
        {!job && certificate && <Files design={design} piece={piece} certificate={certificate} />}
        {!job && !solid && <Button variant="contained" onClick={make}>Make solid</Button>}
      </Stack>
      {job && (
        <Box>
          <LinearProgress variant="determinate" aria-label="Making the solid" value={100 * job.progress} />
          <Typography variant="body2" color="text.secondary" role="status">{job.words}</Typography>
        </Box>
      )}
      {refused && !job && !solid && (
        <Typography variant="body2" data-testid="refused" sx={{ color: "#8A5A00" }}>
          No solid was made. {refused.words} <ShowWhere piece={piece.id} place={refused.place} /> Certify triangles tells how
          sound the body is without the kernel.
        </Typography>
      )}
      {shown && <CertificateTable certificate={shown} stale={stale} piece={piece.id} />}
      {!shown && !job && (
        <Typography variant="body2" color="text.secondary">
          One bicubic face for each face of the cage, and what its followers make of it. The cage stays: pull it, and the solid
          is made anew.
        </Typography>
      )}
      <TriangleFiles design={design} piece={piece} />
    </Stack>
  );
}

/** A solid that is wanted is made anew a moment after its form has changed; what is under way was begun for one that is no more. */
function useAnew(key: string, madeFrom: string, stale: boolean, callOff: () => void, make: () => void): void {
  const previewed = useDesign((s) => s.preview !== null);
  const begin = useEffectEvent(make);
  const end = useEffectEvent(callOff);
  useEffect(() => {
    if (!stale || !wanted.has(key) || previewed) return;
    end();
    const soon = setTimeout(() => begin(), REST);
    return () => clearTimeout(soon);
  }, [key, madeFrom, stale, previewed]);
}

function headOf(name: string, certificate: Certificate | null, stale: boolean): string {
  if (stale) return `${name} has changed: this is the solid before`;
  if (!certificate) return `Make ${name} a solid`;
  const short = shortFaults(certificate.faults ?? []);
  return `Certificate of ${name}${certificate.route === "kernel" ? "" : ", by triangles"}${short ? `: ${short}` : ""}`;
}

/** The certificate and the solid as files. */
function Files({ design, piece, certificate }: { design: string; piece: PieceState; certificate: Certificate }) {
  const short = shortFaults(certificate.faults ?? []);
  const larger = useLarger((s) => s.larger);
  const page = () => void attempt(() => download(service.pageAddress(design, piece.id, larger), `${piece.name}, certificate${largerWords(larger)}.html`));
  const step = () => void attempt(() => download(service.stepAddress(design, piece.id, !!short, larger), `${piece.name}${largerWords(larger)}${short && `, ${short}`}.step`));
  return (
    <>
      <Button variant="outlined" onClick={() => saveText(certificate, piece.name)}>Certificate as JSON</Button>
      <Button variant="outlined" onClick={page}>As a page</Button>
      {certificate.route === "kernel" && (
        <Button variant={short ? "outlined" : "contained"} color={short ? "error" : "primary"} onClick={step}>
          {short ? "STEP as far as it goes" : "Download STEP"}
        </Button>
      )}
    </>
  );
}

function saveText(certificate: Certificate, name: string): void {
  const link = document.createElement("a");
  link.href = URL.createObjectURL(new Blob([JSON.stringify(certificate, null, 2)], { type: "application/json" }));
  link.download = `${name}, certificate.json`;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
}
