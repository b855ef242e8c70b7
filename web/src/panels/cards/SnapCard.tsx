/** Grid, snapping, the working plane, and the step of the arrow keys. */
import Stack from "@mui/material/Stack";
import ToggleButton from "@mui/material/ToggleButton";
import Typography from "@mui/material/Typography";
import { useShallow } from "zustand/react/shallow";
import { useUnit } from "../../live/stores/design";
import { show, type Snap, useShow } from "../../live/stores/show";
import type { NumberField as Field } from "../../model/fields";
import { lengthWords } from "../../model/units";
import type { CardProps } from "../../model/tool";
import { CardHead } from "../parts/CardHead";
import { NumberField } from "../parts/NumberField";
import { WorkingPlane } from "../parts/WorkingPlane";

const kinds: [Snap, string][] = [
  ["grid", "Grid"],
  ["vertex", "Vertices"],
  ["edge", "Edges"],
  ["face", "Faces"],
  ["reference", "References"],
];
const nudgeField: Field = { is: "number", label: "Arrow step", unit: "mm", initial: 0, step: 0.5, min: 0 };

export default function SnapCard({ tool }: CardProps) {
  const [snaps, nudge, grid] = useShow(useShallow((s) => [s.snaps, s.nudge, s.grid] as const));
  const unit = useUnit();
  return (
    <>
      <Stack direction="row" spacing={1.25} useFlexGap sx={{ alignItems: "center", flexWrap: "wrap", rowGap: 1.1 }}>
        <CardHead drawing={tool.icon}>Grid and snapping</CardHead>
        {kinds.map(([id, words]) => (
          <ToggleButton key={id} size="small" value={id} selected={snaps[id]} aria-label={`Snap to ${words.toLowerCase()}`} onChange={() => show({ snaps: { ...snaps, [id]: !snaps[id] } })}>
            {words}
          </ToggleButton>
        ))}
        <WorkingPlane />
        <NumberField field={nudgeField} value={nudge} onChange={(v) => show({ nudge: v })} />
      </Stack>
      <Typography variant="body2" color="text.secondary" sx={{ mt: 0.75 }}>
        The grid is now {lengthWords(grid, unit)}; it follows the zoom. With the grid on, turns go by 5°. An arrow step of 0 is the grid's.
      </Typography>
    </>
  );
}
