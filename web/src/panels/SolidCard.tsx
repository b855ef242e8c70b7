import Button from "@mui/material/Button";
import InputAdornment from "@mui/material/InputAdornment";
import LinearProgress from "@mui/material/LinearProgress";
import Stack from "@mui/material/Stack";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import Box from "@mui/material/Box";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { useBench } from "../live/bench";
import { download, Refused, service } from "../live/service";
import type { Certificate, PieceState } from "../live/types";

const group = (value: number, digits: number) =>
  value.toLocaleString("en-GB", { minimumFractionDigits: digits, maximumFractionDigits: digits });

export function SolidCard() {
  const { design, piece: current, say } = useBench();
  const piece = design?.pieces.find((p) => p.id === current) ?? design?.pieces[0];
  if (!design || !piece) return <Typography>There is no piece to make a solid of yet.</Typography>;
  return <Making key={piece.id} design={design.id} piece={piece} say={(e) => say(e.problem, piece.id)} />;
}

function Making({ design, piece, say }: { design: string; piece: PieceState; say(refused: Refused): void }) {
  const client = useQueryClient();
  const [jobId, setJobId] = useState<string | null>(null);
  const [tolerance, setTolerance] = useState("0.05");
  const [busy, setBusy] = useState(false);
  const key = ["certificate", design, piece.id, piece.digest];
  const { data: certificate } = useQuery({
    queryKey: key,
    queryFn: () => service.certificate(design, piece.id),
  });
  const { data: job } = useQuery({
    queryKey: ["job", jobId],
    queryFn: () => service.job(jobId!),
    enabled: jobId !== null,
    refetchInterval: 250,
  });
  useEffect(() => {
    if (!job || job.status === "waiting" || job.status === "running") return;
    setJobId(null);
    if (job.status === "failed")
      say(new Refused({ type: "/problems/job", title: "The solid was not made", status: 500, detail: job.words }));
    void client.invalidateQueries({ queryKey: key });
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [job]);

  const attempt = async (act: () => Promise<unknown>) => {
    setBusy(true);
    try {
      await act();
    } catch (error) {
      if (error instanceof Refused) say(error);
      else throw error;
    } finally {
      setBusy(false);
    }
  };
  const chord = Number(tolerance.replace(",", "."));
  const chordIsWrong = !(chord > 0 && chord <= 100);

  return (
    <Stack spacing={1} sx={{ minWidth: 520 }}>
      <Stack direction="row" spacing={1.5} sx={{ alignItems: "center" }}>
        <Typography variant="h3" sx={{ flexGrow: 1 }}>
          {certificate ? `Certificate of ${piece.name}` : `Make ${piece.name} a solid`}
        </Typography>
        {jobId ? (
          <Button color="inherit" onClick={() => void attempt(() => service.cancelJob(jobId))}>Cancel</Button>
        ) : certificate ? (
          <Button variant="contained" disabled={busy} onClick={() => void attempt(() => download(service.stepAddress(design, piece.id), `${piece.name}.step`))}>
            Download STEP
          </Button>
        ) : (
          <Button variant="contained" disabled={busy} onClick={() => void attempt(async () => setJobId((await service.beginSolid(design, piece.id)).id))}>
            Make solid
          </Button>
        )}
      </Stack>
      {jobId && (
        <Box>
          <LinearProgress variant="determinate" aria-label="Making the solid" value={100 * (job?.progress ?? 0)} />
          <Typography variant="body2" color="text.secondary" role="status">{job?.words ?? "Beginning"}</Typography>
        </Box>
      )}
      {certificate && <CertificateTable certificate={certificate} />}
      {!certificate && !jobId && (
        <Typography variant="body2" color="text.secondary">
          One bicubic face for each face of the cage, closed and exact to the surface. The cage stays: pull it again and
          make the solid anew.
        </Typography>
      )}
      <Stack direction="row" spacing={1.5} sx={{ alignItems: "center", borderTop: 1, borderColor: "divider", pt: 1 }}>
        <Typography variant="body2" sx={{ flexGrow: 1 }}>Triangles of the surface, for printing</Typography>
        <TextField
          label="Chord tolerance"
          value={tolerance}
          error={chordIsWrong}
          helperText={chordIsWrong ? "more than 0, at most 100" : undefined}
          onChange={(event) => setTolerance(event.target.value)}
          slotProps={{ htmlInput: { inputMode: "decimal" }, input: { endAdornment: <InputAdornment position="end">mm</InputAdornment> } }}
          sx={{ width: 130 }}
        />
        <Button
          variant="outlined"
          disabled={busy || chordIsWrong}
          onClick={() => void attempt(() => download(service.stlAddress(design, piece.id, chord), `${piece.name}.stl`))}
        >
          Download STL
        </Button>
      </Stack>
    </Stack>
  );
}

function CertificateTable({ certificate: c }: { certificate: Certificate }) {
  const rows: [string, string][] = [
    ["Watertight", c.watertight ? (c.solid_count === 1 ? "yes, one closed solid" : `yes, ${c.solid_count} closed solids`) : "no"],
    ["Size", `${c.size.map((s) => group(s, 2)).join(" × ")} mm`],
    ["Volume", `${group(c.volume, 1)} mm³ (${group(c.volume / 1000, 3)} cm³)`],
    ["Faces", `${c.face_count}, each ${c.pole_count} × ${c.pole_count} poles`],
    ["Area", `${group(c.area, 1)} mm²`],
    ["Largest deviation", `${c.deviation < 0.0001 ? c.deviation.toExponential(1) : group(c.deviation, 4)} mm`],
    ["Largest seam angle", `${group(c.seam_angle, 3)}°`],
  ];
  return (
    <Box>
      <Box component="dl" aria-label="Certificate" sx={{ m: 0, display: "grid", gridTemplateColumns: "auto 1fr auto 1fr", columnGap: 2, rowGap: 0.3 }}>
        {rows.map(([name, value]) => (
          <Box key={name} sx={{ display: "contents" }}>
            <Typography component="dt" variant="body2" color="text.secondary">{name}</Typography>
            <Typography component="dd" variant="body2" sx={{ m: 0, fontWeight: 600 }}>{value}</Typography>
          </Box>
        ))}
      </Box>
      {c.warnings.map((warning) => (
        <Typography key={warning} variant="body2" sx={{ mt: 0.5, color: "#8A5A00" }}>{warning}</Typography>
      ))}
    </Box>
  );
}
