/** The simulated print bench: what it answers to the body's file, and its layers. */
import Alert from "@mui/material/Alert";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import CircularProgress from "@mui/material/CircularProgress";
import Slider from "@mui/material/Slider";
import Stack from "@mui/material/Stack";
import Typography from "@mui/material/Typography";
import { useEffect, useState } from "react";
import { attempt } from "../../live/picks";
import { useDesign, usePiece } from "../../live/stores/design";
import { usePicking } from "../../live/stores/picking";
import { useBodies } from "../../live/stores/bodies";
import { useAnyWrong } from "../../live/stores/wrong";
import { service } from "../../live/service";
import type { BenchAnswer } from "../../model/types";
import type { NumberField as Field } from "../../model/fields";
import type { CardProps } from "../../model/tool";
import { CardHead } from "../parts/CardHead";
import { NumberField } from "../parts/NumberField";
import { useFor } from "../parts/useFor";
import { ShowWhere } from "../parts/ShowWhere";

const fields: Record<string, Field> = {
  layer: { is: "number", label: "Layer", unit: "mm", initial: 0.2, step: 0.05, min: 0.02 },
  wall: { is: "number", label: "Least wall", unit: "mm", initial: 1.2, step: 0.1, min: 0.1 },
  fill: { is: "number", label: "Fill", unit: "%", initial: 15, step: 5, min: 0, max: 100 },
};
const TOLERANCE = 0.05;

export default function PrintBenchCard({ tool }: CardProps) {
  const design = useDesign((s) => s.design?.id);
  const piece = usePiece(usePicking((s) => s.piece));
  const [layer, setLayer] = useState(0.2);
  const [wall, setWall] = useState(1.2);
  const [fill, setFill] = useState(15);
  // An answer belongs to the form and to the machine that it was given for.
  const [answer, setAnswer] = useFor<BenchAnswer>(`${piece?.made_from} ${layer} ${wall} ${fill}`);
  const anyWrong = useAnyWrong();
  const [busy, setBusy] = useState(false);
  const [index, setIndex] = useState(0);
  useEffect(() => {
    const places = answer?.objections.filter((o) => o.refuses).flatMap((o) => o.places) ?? [];
    useBodies.setState({ broken: places });
    return () => useBodies.setState({ broken: [] });
  }, [answer]);
  if (!design || !piece) return <Typography>There is no piece to hand over yet.</Typography>;
  const hand = async () => {
    setBusy(true);
    await attempt(async () => {
      const got = await service.printBench(design, piece.id, TOLERANCE, { layer, least_wall: wall, fill: fill / 100 });
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
              {answer.accepted ? "Accepted" : "Refused"}: {answer.layers} layers, {time(answer.minutes)}, {answer.grams.toFixed(1)} g, {answer.metres.toFixed(1)} m of line.
            </Alert>
            {answer.objections.map((objection) => (
              <Typography key={objection.what} variant="body2" sx={{ mt: 0.5, color: objection.refuses ? "error.main" : "#8A5A00" }}>
                {objection.words} <ShowWhere piece={piece.id} place={{ points: objection.places }} />
              </Typography>
            ))}
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
            src={service.layerAddress(design, piece.id, TOLERANCE, layer, index, piece.made_from)}
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
