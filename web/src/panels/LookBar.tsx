/** What a click picks, and how pieces are shown. */
import Paper from "@mui/material/Paper";
import Stack from "@mui/material/Stack";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import Tooltip from "@mui/material/Tooltip";
import { type Display, useBench } from "../live/bench";
import type { Kind } from "../live/types";

const kinds: [Kind, string, string][] = [
  ["vertex", "Vertices", "V"],
  ["edge", "Edges", "E"],
  ["face", "Faces", "F"],
];
const displays: [Display, string][] = [
  ["cage", "Cage"],
  ["surface", "Surface"],
  ["both", "Both"],
];

export function LookBar() {
  const { pickKind, setPickKind, display, setDisplay, through, setThrough } = useBench();
  return (
    <Paper elevation={2} sx={{ position: "absolute", left: 176, top: 12, p: 0.75, borderRadius: 2, zIndex: 2 }}>
      <Stack direction="row" spacing={1.5}>
        <ToggleButtonGroup size="small" exclusive value={pickKind} aria-label="Pick" onChange={(_, kind: Kind | null) => kind && setPickKind(kind)}>
          {kinds.map(([kind, label, key]) => (
            <ToggleButton key={kind} value={kind} aria-label={`Pick ${label.toLowerCase()} (${key})`}>{label}</ToggleButton>
          ))}
        </ToggleButtonGroup>
        <Tooltip title="Pick only what is seen, or also what lies behind (H)">
          <ToggleButton size="small" value="through" selected={through} onChange={() => setThrough(!through)} aria-label="Pick through (H)">
            Through
          </ToggleButton>
        </Tooltip>
        <ToggleButtonGroup size="small" exclusive value={display} aria-label="Show" onChange={(_, d: Display | null) => d && setDisplay(d)}>
          {displays.map(([d, label]) => (
            <ToggleButton key={d} value={d} aria-label={`Show ${label.toLowerCase()}`}>{label}</ToggleButton>
          ))}
        </ToggleButtonGroup>
      </Stack>
    </Paper>
  );
}
