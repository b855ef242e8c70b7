/** Grid, snapping, the working plane, and the step of the arrow keys. */
import MenuItem from "@mui/material/MenuItem";
import Stack from "@mui/material/Stack";
import TextField from "@mui/material/TextField";
import ToggleButton from "@mui/material/ToggleButton";
import Typography from "@mui/material/Typography";
import { useBench } from "../../live/bench";
import { type Snap, useLook } from "../../live/look";
import { lengthWords } from "../../live/units";
import { SnapIcon } from "../../theme/icons";
import { NumberField } from "../NumberField";

const snaps: [Snap, string][] = [
  ["grid", "Grid"],
  ["vertex", "Vertices"],
  ["edge", "Edges"],
  ["face", "Faces"],
  ["reference", "References"],
];

export function SnapCard() {
  const look = useLook();
  const unit = useBench((s) => s.design?.unit ?? "mm");
  return (
    <>
      <Stack direction="row" spacing={1.25} useFlexGap sx={{ alignItems: "center", flexWrap: "wrap", rowGap: 1.1 }}>
        <Stack direction="row" spacing={0.75} sx={{ alignItems: "center", color: "primary.main" }}>
          <SnapIcon />
          <Typography variant="h3" sx={{ color: "text.primary" }}>Grid and snapping</Typography>
        </Stack>
        {snaps.map(([id, words]) => (
          <ToggleButton key={id} size="small" value={id} selected={look.snaps[id]} aria-label={`Snap to ${words.toLowerCase()}`} onChange={() => look.set({ snaps: { ...look.snaps, [id]: !look.snaps[id] } })}>
            {words}
          </ToggleButton>
        ))}
        <WorkingPlane />
        <NumberField field={{ name: "nudge", label: "Arrow step", unit: "mm", initial: 0, step: 0.5, min: 0 }} value={look.nudge} onChange={(nudge) => look.set({ nudge })} />
      </Stack>
      <Typography variant="body2" color="text.secondary" sx={{ mt: 0.75 }}>
        The grid is now {lengthWords(look.grid, unit)}; it follows the zoom. With the grid on, turns go by 5°. An arrow step of 0 is the grid's.
      </Typography>
    </>
  );
}

/** The plane on which points are set where nothing else lies under them. */
export function WorkingPlane() {
  const { plane, planeAt, set } = useLook();
  const pictures = (useBench((s) => s.design?.references) ?? []).filter((r) => r.kind === "picture");
  const known = ["ground", "front", "side"].includes(plane) || pictures.some((p) => p.id === plane);
  return (
    <>
      <TextField select label="Working plane" value={known ? plane : "ground"} onChange={(event) => set({ plane: event.target.value })} sx={{ minWidth: 112 }}>
        <MenuItem value="ground">ground</MenuItem>
        <MenuItem value="front">front</MenuItem>
        <MenuItem value="side">side</MenuItem>
        {pictures.map((p) => <MenuItem key={p.id} value={p.id}>picture {p.name}</MenuItem>)}
      </TextField>
      {["ground", "front", "side"].includes(plane) && (
        <NumberField field={{ name: "plane at", label: "Plane at", unit: "mm", initial: 0, step: 1 }} value={planeAt} onChange={(at) => set({ planeAt: at })} />
      )}
    </>
  );
}
