/** Curves on the form: a section, the seam, picked edges, each with its curvature comb. */
import Checkbox from "@mui/material/Checkbox";
import FormControlLabel from "@mui/material/FormControlLabel";
import Slider from "@mui/material/Slider";
import Stack from "@mui/material/Stack";
import Typography from "@mui/material/Typography";
import { useBench } from "../../live/bench";
import { useCurves } from "../../live/curves";
import { lengthsWords, lengthWords } from "../../live/units";
import { CurvesIcon } from "../../theme/icons";
import { AxisAt } from "./AxisAt";

const names = { section: "section", seam: "seam", edges: "picked edges" } as const;

export function CurvesCard() {
  const { section, seam, edges, comb, list, set } = useCurves();
  const { piece, bend, design } = useBench();
  const unit = design?.unit ?? "mm";
  const symmetric = design?.pieces.find((p) => p.id === piece)?.symmetry != null;
  const change = (what: Parameters<typeof set>[0]) => {
    set(what);
    bend();
  };
  const tight = list.reduce<(typeof list)[number] | null>((best, curve) => (curve.least_radius !== null && (best === null || curve.least_radius < (best.least_radius ?? Infinity)) ? curve : best), null);
  const check = (label: string, on: boolean, key: "seam" | "edges", disabled = false) => (
    <FormControlLabel
      control={<Checkbox size="small" checked={on} disabled={disabled} onChange={(event) => change({ [key]: event.target.checked })} />}
      label={<Typography variant="body2">{label}</Typography>}
      sx={{ mr: 0 }}
    />
  );
  return (
    <>
      <Stack direction="row" spacing={1.25} useFlexGap sx={{ alignItems: "center", flexWrap: "wrap" }}>
        <Stack direction="row" spacing={0.75} sx={{ alignItems: "center", color: "primary.main" }}>
          <CurvesIcon />
          <Typography variant="h3" sx={{ color: "text.primary" }}>Curves</Typography>
        </Stack>
        <AxisAt
          label="Section"
          words="section"
          read="Section across"
          slider="Curve at"
          value={section}
          piece={piece}
          onChange={(value) => change({ section: value && { ...value, at: value.axis === section?.axis ? value.at : Math.round(value.at) } })}
        />
        {check("seam", seam, "seam", !symmetric)}
        {check("picked edges", edges, "edges")}
        <Stack direction="row" spacing={1} sx={{ alignItems: "center" }}>
          <Typography variant="body2">Comb</Typography>
          <Slider aria-label="Length of the comb" value={comb} min={0} max={3} step={0.1} onChange={(_, v) => set({ comb: v as number })} sx={{ width: 80 }} />
        </Stack>
      </Stack>
      <Typography variant="body2" color="text.secondary" sx={{ mt: 0.75 }} aria-live="polite">
        {tight?.least_radius != null
          ? `Smallest radius ${lengthWords(tight.least_radius, unit)}, on the ${names[tight.of]} at ${lengthsWords(tight.tightest, unit, ", ")}. `
          : list.length ? "No bend in these curves. " : ""}
        Even teeth mean an even bend; a step in them is where a highlight breaks.
      </Typography>
    </>
  );
}
