/** Two variants in one frame: side by side, or laid over one another. */
import Button from "@mui/material/Button";
import Paper from "@mui/material/Paper";
import Stack from "@mui/material/Stack";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import Typography from "@mui/material/Typography";
import { give } from "../live/line";
import { useDesign } from "../live/stores/design";
import { show as set, useShow } from "../live/stores/show";
import { lengthsWords } from "../model/units";

export function CompareBar() {
  const compare = useShow((s) => s.compare);
  const design = useDesign((s) => s.design);
  const [a, b] = [compare?.a, compare?.b].map((id) => design?.pieces.find((p) => p.id === id));
  if (!compare || !a || !b || !design) return null;
  const keep = (id: string) => {
    set({ compare: null });
    void give({ kind: "keep-variant", piece: id });
  };
  return (
    <Paper elevation={3} role="region" aria-label="Compare" sx={{ position: "absolute", top: 64, left: 0, right: 0, mx: "auto", width: "fit-content", px: 2, py: 1, borderRadius: 2, zIndex: 3 }}>
      <Stack direction="row" spacing={2} sx={{ alignItems: "center" }}>
        {[a, b].map((piece, i) => (
          <Stack key={piece.id} sx={{ order: i === 0 ? 0 : 2 }}>
            <Typography component="h2" variant="h3">{piece.name}</Typography>
            <Typography variant="body2" color="text.secondary">
              {piece.face_count} faces, {lengthsWords(piece.size, design.unit)}
            </Typography>
            <Button size="small" onClick={() => keep(piece.id)} sx={{ alignSelf: "flex-start", px: 0 }}>Keep this one</Button>
          </Stack>
        ))}
        <Stack sx={{ order: 1 }} spacing={0.5}>
          <ToggleButtonGroup size="small" exclusive value={compare.over} aria-label="Compare as" onChange={(_, over: boolean | null) => over !== null && set({ compare: { ...compare, over } })}>
            <ToggleButton value={false}>Side by side</ToggleButton>
            <ToggleButton value={true}>Laid over</ToggleButton>
          </ToggleButtonGroup>
          <Button size="small" onClick={() => set({ compare: null })}>End comparing</Button>
        </Stack>
      </Stack>
    </Paper>
  );
}
