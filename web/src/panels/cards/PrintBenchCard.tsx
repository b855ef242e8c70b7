/** The simulated print bench: what it answers to the body's file, and its layers. */
import Alert from "@mui/material/Alert";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import CircularProgress from "@mui/material/CircularProgress";
import MenuItem from "@mui/material/MenuItem";
import Slider from "@mui/material/Slider";
import Stack from "@mui/material/Stack";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useQuery } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { give } from "../../live/line";
import { attempt } from "../../live/picks";
import { useDesign, usePiece, useUnit } from "../../live/stores/design";
import { usePicking } from "../../live/stores/picking";
import { useBodies } from "../../live/stores/bodies";
import { useAnyWrong } from "../../live/stores/wrong";
import { service } from "../../live/service";
import type { BenchAnswer, Machine } from "../../model/types";
import type { NumberField as Field } from "../../model/fields";
import type { CardProps } from "../../model/tool";
import { bulkWords } from "../../model/units";
import { cross, degreesBetween, dot, type Vec } from "../../model/vec";
import { CardHead } from "../parts/CardHead";
import { NumberField } from "../parts/NumberField";
import { useFor } from "../parts/useFor";
import { ShowWhere } from "../parts/ShowWhere";

const fields: Record<string, Field> = {
  layer: { is: "number", label: "Layer", unit: "mm", initial: 0.2, step: 0.05, min: 0.02 },
  wall: { is: "number", label: "Least wall", unit: "mm", initial: 1.2, step: 0.1, min: 0.1 },
  fill: { is: "number", label: "Fill", unit: "%", initial: 15, step: 5, min: 0, max: 100 },
};
/** So finely a file is written, mm: a share of what is large, since nobody prints a hull to a hair. */
const tolerance = (size: number[]) => Math.max(0.05, Math.max(...size) / 10_000);

export default function PrintBenchCard({ tool }: CardProps) {
  const design = useDesign((s) => s.design?.id);
  const piece = usePiece(usePicking((s) => s.piece));
  const [layer, setLayer] = useState(0.2);
  const [wall, setWall] = useState(1.2);
  const [fill, setFill] = useState(15);
  // An answer belongs to the form and to the machine that it was given for.
  const { data: processes = [] } = useQuery({ queryKey: ["print-processes"], queryFn: service.printProcesses, staleTime: Infinity });
  const [process, setProcess] = useState<NonNullable<Machine["process"]>>("filament");
  const [answer, setAnswer] = useFor<BenchAnswer>(`${piece?.made_from} ${layer} ${wall} ${fill} ${process}`);
  const anyWrong = useAnyWrong();
  const [busy, setBusy] = useState(false);
  const [index, setIndex] = useState(0);
  useEffect(() => {
    const places = answer?.objections.filter((o) => o.refuses).flatMap((o) => o.places) ?? [];
    useBodies.setState({ broken: places });
    return () => useBodies.setState({ broken: [] });
  }, [answer]);
  if (!design || !piece) return <Typography>There is no piece to hand over yet.</Typography>;
  const chord = tolerance(piece.size);
  const by = processes.find((p) => p.id === process);
  const choose = (id: typeof process) => {
    const next = processes.find((p) => p.id === id);
    setProcess(id);
    if (!next) return;
    setLayer(next.layer);
    setWall(next.wall);
    setFill(next.supports && id === "filament" ? 15 : 100);
  };
  const hand = async () => {
    setBusy(true);
    await attempt(async () => {
      const got = await service.printBench(design, piece.id, chord, {
        layer, least_wall: wall, fill: fill / 100, process, ...(by && { line: by.line, overhang: by.overhang, density: by.density, speed: by.speed }),
      });
      setAnswer(got);
      setIndex(Math.floor(got.layers / 2));
    });
    setBusy(false);
  };
  const time = (minutes: number) => `${Math.floor(minutes / 60)} h ${Math.round(minutes % 60)} min`;
  return (
    <>
      <Stack direction="row" spacing={1.25} useFlexGap sx={{ alignItems: "center", flexWrap: "wrap", rowGap: 1 }}>
        <CardHead drawing={tool.icon}>Print bench</CardHead>
        <TextField select label="Process" value={processes.length ? process : ""} onChange={(event) => choose(event.target.value as typeof process)} sx={{ minWidth: 130 }}>
          {processes.map((p) => <MenuItem key={p.id} value={p.id}>{p.name}</MenuItem>)}
        </TextField>
        <NumberField field={fields.layer} value={layer} onChange={setLayer} />
        <NumberField field={fields.wall} value={wall} onChange={setWall} />
        <NumberField field={fields.fill} value={fill} onChange={setFill} />
        <Button variant="contained" disabled={busy || anyWrong} startIcon={busy ? <CircularProgress size={16} /> : undefined} onClick={() => void hand()}>
          {busy ? "On the bench" : `Hand over ${piece.name}`}
        </Button>
      </Stack>
      {answer ? (
        <Stack direction="row" spacing={2} sx={{ mt: 1, alignItems: "stretch" }}>
          <Box sx={{ flexGrow: 1, minWidth: 300 }}>
            <Alert severity={answer.accepted ? "success" : "error"} data-testid="bench-answer" sx={{ py: 0 }}>
              {answer.accepted ? "Accepted" : "Refused"}: {answer.layers} layers, {time(answer.minutes)}, {answer.grams.toFixed(1)} g{process === "filament" ? `, ${answer.metres.toFixed(1)} m of line` : ""}.
            </Alert>
            {answer.objections.map((objection) => (
              <Typography key={objection.what} variant="body2" sx={{ mt: 0.5, color: objection.refuses ? "error.main" : "#8A5A00" }}>
                {objection.words} <ShowWhere piece={piece.id} place={{ points: objection.places }} />
              </Typography>
            ))}
            <Ways answer={answer} piece={piece.id} />
            <Typography variant="body2" color="text.secondary" sx={{ mt: 0.5 }}>
              Simulated: it stands for the real machine, whose own figures may differ.
            </Typography>
            <Stack direction="row" spacing={1.5} sx={{ alignItems: "center", mt: 0.5 }}>
              <Typography variant="body2" sx={{ whiteSpace: "nowrap" }}>Layer {index + 1}</Typography>
              <Slider size="small" aria-label="Layer shown" min={0} max={answer.layers - 1} value={index} onChange={(_, v) => setIndex(v)} />
            </Stack>
          </Box>
          <Box
            component="img"
            alt={`Layer ${index + 1} of ${answer.layers}`}
            src={service.layerAddress(design, piece.id, chord, layer, index, piece.made_from)}
            sx={{ width: 230, height: 150, objectFit: "contain", bgcolor: "background.default", borderRadius: 1 }}
          />
        </Stack>
      ) : (
        <Typography variant="body2" color="text.secondary" sx={{ mt: 0.75 }}>
          A simulated bench that stands for the real machine: it takes the body as 3MF, looks at bed, walls and overhangs, slices
          it, and says how long it takes and how much of it.
        </Typography>
      )}
    </>
  );
}

/** The best way up, where it takes less than as it stands, and a turn that stands it so: a step like any other. */
function Ways({ answer, piece }: { answer: BenchAnswer; piece: string }) {
  const unit = useUnit();
  const [now, ...others] = answer.ways;
  const best = others.at(0);
  if (!now || !best || best.supports > 0.8 * now.supports) return null;
  const stand = () => {
    const [up, z]: [Vec, Vec] = [best.up, [0, 0, 1]];
    const square = cross(up, z);
    const axis: Vec = dot(square, square) > 1e-12 ? square : [1, 0, 0];
    void give({ kind: "turn", piece, picked: { kind: "piece", ids: [0] }, axis, degrees: degreesBetween(up, z) });
  };
  return (
    <Typography variant="body2" sx={{ mt: 0.5 }}>
      Best way up: {best.words}, {bulkWords(best.supports, unit)} of supports in place of {bulkWords(now.supports, unit)}.{" "}
      <Button size="small" onClick={stand} sx={{ py: 0, minWidth: 0 }}>Stand it so</Button>
    </Typography>
  );
}
