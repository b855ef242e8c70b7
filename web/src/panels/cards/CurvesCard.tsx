/** Curves on the form: a section, the seam, picked edges, each with its curvature comb. */
import Checkbox from "@mui/material/Checkbox";
import FormControlLabel from "@mui/material/FormControlLabel";
import Slider from "@mui/material/Slider";
import Stack from "@mui/material/Stack";
import Typography from "@mui/material/Typography";
import { bend } from "../../live/line";
import { usePiece, useUnit } from "../../live/stores/design";
import { usePicking } from "../../live/stores/picking";
import { type CurvesStore, useCurves } from "../../live/stores/curves";
import { lengthsWords, lengthWords } from "../../model/units";
import { AxisAt } from "../parts/AxisAt";
import type { CardProps } from "../../model/tool";
import { CardHead } from "../parts/CardHead";

const names = { section: "section", seam: "seam", edges: "picked edges" } as const;

export default function CurvesCard({ tool }: CardProps) {
  const { section, seam, edges, comb, list } = useCurves();
  const piece = usePicking((s) => s.piece);
  const unit = useUnit();
  const symmetric = usePiece(piece)?.symmetry != null;
  const change = (what: Partial<CurvesStore>) => {
    useCurves.setState(what);
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
        <CardHead drawing={tool.icon}>Curves</CardHead>
        <AxisAt
          label="Section"
          words="section across"
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
          <Slider aria-label="Length of the comb" value={comb} min={0} max={3} step={0.1} onChange={(_, v) => useCurves.setState({ comb: v })} sx={{ width: 80 }} />
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
