/** The legend of the map that is shown: its scale with the limit on it, how much of the form lies where, and what is at fault. */
import Box from "@mui/material/Box";
import Checkbox from "@mui/material/Checkbox";
import FormControlLabel from "@mui/material/FormControlLabel";
import IconButton from "@mui/material/IconButton";
import Paper from "@mui/material/Paper";
import Stack from "@mui/material/Stack";
import Typography from "@mui/material/Typography";
import { mapOf } from "../live/line";
import { useDesign, useUnit } from "../live/stores/design";
import { useMap } from "../live/stores/map";
import { useMapUnder } from "../live/stores/mapUnder";
import { useProofs } from "../live/stores/proofs";
import { isoLevels } from "../model/isolines";
import type { ShownMap } from "../model/types";
import { fromUnit, lengthWords, trimmed, type Unit } from "../model/units";
import { cssTone } from "../theme/scale";

const height = 170;

export function MapLegend() {
  const wanted = useMap((s) => s.wanted);
  const map = useMap((s) => s.map);
  const asked = useProofs((s) => s.list.find((proof) => proof.id === wanted)?.asked);
  const unit = useUnit();
  // Asked of a body, and there are followers that make one; else it is the form that is asked.
  const ofBody = useDesign(({ design }) => {
    const own = design?.proofs.find((proof) => proof.id === wanted);
    return own?.of_body === true && design?.pieces.some((p) => p.id === own.piece && p.followers.some((f) => f.on));
  });
  if (!wanted) return null;
  return (
    <Paper component="section" aria-label="Map" elevation={2} sx={{ position: "absolute", right: 12, top: 252, width: 138, p: 1, borderRadius: 2, zIndex: 1 }}>
      <Stack direction="row" sx={{ alignItems: "flex-start" }}>
        <Typography variant="body2" sx={{ fontWeight: 600, lineHeight: 1.25, flexGrow: 1 }}>{asked ?? "A proof that is gone"}</Typography>
        <IconButton size="small" aria-label="Hide the map" title="Hide the map" onClick={() => mapOf(null)} sx={{ p: 0.25, mt: -0.5, mr: -0.5, fontSize: 15, lineHeight: 1, width: 24, height: 24 }}>{"\u00d7"}</IconButton>
      </Stack>
      {map ? <Scale map={map} unit={unit} /> : <Typography variant="body2" color="text.secondary">{ofBody ? "It has no map now: it goes by the body, which is made once the hand rests, and has to have all of its followers." : "It has no map here: the form is open, or what it asks is one number."}</Typography>}
    </Paper>
  );
}

function Scale({ map, unit }: { map: ShownMap; unit: Unit }) {
  const { low, high, limit, counts, share, both } = map;
  const lines = useMap((s) => s.lines);
  const { step, values: levels } = isoLevels(low, high, map.unit === "mm" ? fromUnit(1, unit) : 1);
  const plain = (value: number) => (map.unit === "mm" ? lengthWords(value, unit) : `${trimmed(value, 1)}°`);
  const words = (value: number) => (both ? `${value > 0 ? "+" : value < 0 ? "−" : ""}${plain(Math.abs(value))}` : plain(value));
  const limits = both ? [limit, -limit] : [limit];
  const steps = counts.length;
  const most = Math.max(...counts, 1);
  const at = (value: number) => (high > low ? (1 - (value - low) / (high - low)) * height : 0);
  return (
    <>
      <Box sx={{ position: "relative", height, mt: 0.75 }}>
        <Box component="svg" width={60} height={height} role="img" aria-label={`From ${words(low)} to ${words(high)}; ${both ? `within ${words(-limit)} and ${words(limit)}` : `the limit is ${words(limit)}`}`} sx={{ display: "block" }}>
          {counts.map((count, k) => {
            const value = low + ((k + 0.5) / steps) * (high - low);
            const y = height - ((k + 1) * height) / steps;
            return (
              <g key={k}>
                <rect x={0} y={y} width={14} height={height / steps + 0.5} fill={cssTone(value, map)} />
                <rect x={18} y={y + 0.5} width={(42 * count) / most} height={height / steps - 1} fill="#5F6C73" />
              </g>
            );
          })}
          {lines && levels.map((one) => <line key={`level ${one}`} x1={0} x2={14} y1={at(one)} y2={at(one)} stroke="#22282B" strokeWidth={0.7} />)}
          {limits.map((one) => <line key={one} x1={0} x2={60} y1={at(one)} y2={at(one)} stroke="#22282B" strokeWidth={1.5} />)}
        </Box>
        {marksOf(map, limits, at).map(({ value, y, isLimit }, k) => (
          <Typography key={k} variant="body2" sx={{ position: "absolute", left: 64, top: Math.min(Math.max(y - 9, -4), height - 12), fontSize: 11.5, lineHeight: "16px", fontWeight: isLimit ? 700 : 400, bgcolor: "background.paper" }}>
            {words(value)}
          </Typography>
        ))}
      </Box>
      {both && <Typography variant="body2" color="text.secondary">+ is outside of it, {"−"} is inside</Typography>}
      <FormControlLabel control={<Checkbox size="small" checked={lines} onChange={(_, on) => useMap.setState({ lines: on })} sx={{ p: 0.5 }} />} label={step ? `Lines, ${plain(step)}` : "Lines"} slotProps={{ typography: { variant: "body2" } }} sx={{ ml: -0.5, mr: 0, mt: 0.25, whiteSpace: "nowrap" }} />
      <UnderPointer words={words} />
      <Typography variant="body2" role="status" data-testid="map-share" sx={{ mt: 0.5, color: share ? "error.main" : "text.secondary" }}>
        {share ? `${trimmed(100 * share, share < 0.01 ? 2 : 1)} % beyond the limit` : "Nothing beyond the limit"}
      </Typography>
    </>
  );
}

/** What stands beside the scale: its limits, and its ends where they are not in these' way. */
function marksOf({ low, high }: ShownMap, limits: number[], at: (value: number) => number) {
  const held = limits.map((value) => ({ value, y: at(value), isLimit: true }));
  const ends = [{ value: high, y: 0 }, { value: low, y: height }].filter(({ y }) => held.every((one) => Math.abs(one.y - y) > 15));
  return [...held, ...ends.map((end) => ({ ...end, isLimit: false }))];
}

/** The value where the pointer is; it keeps its room where there is none. */
function UnderPointer({ words }: { words: (value: number) => string }) {
  const value = useMapUnder((s) => s.value);
  return (
    <Typography variant="body2" data-testid="map-under" sx={{ mt: 0.75, fontWeight: 600, minHeight: 20 }}>
      {value === null ? "" : Number.isNaN(value) ? "nothing to measure to here" : `${words(value)} here`}
    </Typography>
  );
}
