/** The section: a plane that cuts the display open, and nothing else. */
import Button from "@mui/material/Button";
import Slider from "@mui/material/Slider";
import Stack from "@mui/material/Stack";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import Typography from "@mui/material/Typography";
import { pieces, viewFrame } from "../../live/bench";
import { useLook } from "../../live/look";
import { SectionIcon } from "../../theme/icons";
import { NumberField } from "../NumberField";

export function SectionCard() {
  const { section, set } = useLook();
  const axis = section?.axis ?? null;
  const [low, high] = reach(axis ?? 1);
  return (
    <>
      <Stack direction="row" spacing={1.25} useFlexGap sx={{ alignItems: "center", flexWrap: "wrap" }}>
        <Stack direction="row" spacing={0.75} sx={{ alignItems: "center", color: "primary.main" }}>
          <SectionIcon />
          <Typography variant="h3" sx={{ color: "text.primary" }}>Section</Typography>
        </Stack>
        <ToggleButtonGroup
          size="small"
          exclusive
          value={axis}
          aria-label="Cut across"
          onChange={(_, k: 0 | 1 | 2 | null) => {
            const [a, b] = reach(k ?? 1);
            // What lies before the plane is cut away, so that one looks in.
            set({ section: k === null ? null : { axis: k, at: (a + b) / 2, flip: viewFrame.current[2][k] < 0 } });
          }}
        >
          {(["x", "y", "z"] as const).map((name, k) => (
            <ToggleButton key={name} value={k} aria-label={`Cut across ${name}`}>across {name}</ToggleButton>
          ))}
        </ToggleButtonGroup>
        {section && (
          <>
            <NumberField field={{ name: "at", label: "At", unit: "mm", initial: 0, step: 1 }} value={section.at} onChange={(at) => set({ section: { ...section, at } })} />
            <Slider aria-label="Section at" value={section.at} min={low} max={high} step={(high - low) / 200} onChange={(_, v) => set({ section: { ...section, at: v as number } })} sx={{ width: 160 }} />
            <Button onClick={() => set({ section: { ...section, flip: !section.flip } })}>Other side</Button>
            <Button onClick={() => set({ section: null })}>Whole again</Button>
          </>
        )}
      </Stack>
      <Typography variant="body2" color="text.secondary" sx={{ mt: 0.75 }}>
        Choose an axis; drag the bead on the form or the slider. Only the display is cut: nothing that lies behind the plane is picked.
      </Typography>
    </>
  );
}

/** From where to where the pieces reach along an axis. */
function reach(axis: number): [number, number] {
  let [low, high] = [Infinity, -Infinity];
  for (const { cage } of pieces.byId.values())
    for (let i = axis; i < cage.positions.length; i += 3) {
      low = Math.min(low, cage.positions[i]);
      high = Math.max(high, cage.positions[i]);
    }
  return Number.isFinite(low) ? [low, high] : [-50, 50];
}
