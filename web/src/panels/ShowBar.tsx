/** What a click picks, and how pieces are shown. */
import Paper from "@mui/material/Paper";
import Stack from "@mui/material/Stack";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import Tooltip from "@mui/material/Tooltip";
import { useShallow } from "zustand/react/shallow";
import { setPickKind, setThrough } from "../live/picks";
import { usePicking } from "../live/stores/picking";
import { show, type Shows, useShow } from "../live/stores/show";
import type { Kind } from "../model/types";
import { tight } from "../theme/tight";
import { ShowMenu } from "./ShowMenu";
import { PickMenu } from "./PickMenu";

const kinds: [Kind, string, string][] = [
  ["vertex", "Vertices", "V"],
  ["edge", "Edges", "E"],
  ["face", "Faces", "F"],
  ["piece", "Pieces", "W"],
];
const displays: [Shows, string][] = [
  ["cage", "Cage"],
  ["surface", "Surface"],
  ["both", "Both"],
];

export function ShowBar() {
  const pickKind = usePicking((s) => s.pickKind);
  const through = usePicking((s) => s.through);
  const [shows, lasso, isolated] = useShow(useShallow((s) => [s.shows, s.lasso, s.isolated] as const));
  return (
    <Paper elevation={2} sx={{ position: "absolute", left: 188, top: 12, p: 0.75, borderRadius: 2, zIndex: 2, maxWidth: "calc(100% - 346px)", [tight]: { left: 66, maxWidth: "calc(100% - 214px)", overflowX: "auto" }, "& .MuiToggleButton-root": { px: "7px", fontSize: 13 } }}>
      <Stack direction="row" useFlexGap spacing={0.5} sx={{ flexWrap: "wrap", rowGap: 0.5, [tight]: { flexWrap: "nowrap", "& > *": { flexShrink: 0 } } }}>
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
        <Tooltip title="Draw a line around what is to be picked, instead of a box (J)">
          <ToggleButton size="small" value="lasso" selected={lasso} onChange={() => show({ lasso: !lasso })} aria-label="Lasso (J)">
            Lasso
          </ToggleButton>
        </Tooltip>
        <PickMenu />
        <ToggleButtonGroup size="small" exclusive value={shows} aria-label="Show" onChange={(_, d: Shows | null) => d && show({ shows: d })}>
          {displays.map(([d, label]) => (
            <ToggleButton key={d} value={d} aria-label={`Show ${label.toLowerCase()}`}>{label}</ToggleButton>
          ))}
        </ToggleButtonGroup>
        <Tooltip title="Show only the piece in hand (N)">
          <ToggleButton size="small" value="alone" selected={isolated} onChange={() => show({ isolated: !isolated })} aria-label="Alone: only the piece in hand (N)">
            Alone
          </ToggleButton>
        </Tooltip>
        <ShowMenu />
      </Stack>
    </Paper>
  );
}
