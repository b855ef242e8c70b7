/** The knife: a line drawn across the view, or a plane across an axis. */
import Button from "@mui/material/Button";
import Stack from "@mui/material/Stack";
import Typography from "@mui/material/Typography";
import { placing, useBench } from "../live/bench";
import type { Vec } from "../live/look";
import { viewEye } from "../live/placing";
import { KnifeIcon } from "../theme/icons";
import { clearSketch, type Pointing, useSketch } from "../viewport/pointing";
import { axesOf } from "./placing";
import type { Target, Tool } from "./tool";

const keeps = ["both", "positive", "negative"] as const;
const leaves = ["joined", "open", "filled"] as const;

const cross = (a: Vec, b: Vec): Vec => [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]];
const less = (a: Vec, b: Vec): Vec => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
const ready = () => useSketch.getState().spots.length >= 2;
const drawn = () => useBench.getState().values.how === 0;

const again = () => {
  const { values, setValues } = useBench.getState();
  setValues({ ...values });
};

/** The plane through two points that were clicked, and the eye. */
function throughView(): { point: Vec; normal: Vec } | null {
  const { spots, towards } = useSketch.getState();
  if (spots.length < 2) return null;
  const [a, b] = [spots[0].point, spots[1].point];
  // In perspective all that lies behind the line on the screen is fanned out from the eye.
  const sight = viewEye.current ? less(viewEye.current, a) : towards;
  const normal = cross(less(b, a), sight);
  return Math.hypot(...normal) > 1e-9 ? { point: a, normal } : null;
}

const pointing: Pointing = {
  active: () => drawn() && !ready(),
  query: () => ({ anywhere: true }),
  click(spot, towards) {
    const { spots } = useSketch.getState();
    useSketch.setState({ spots: [...spots, spot], towards });
    if (ready()) again();
  },
  key(key) {
    if (!useSketch.getState().spots.length) return false;
    if (key === "Backspace") useSketch.setState((s) => ({ spots: s.spots.slice(0, -1) }));
    else if (key === "Escape") clearSketch();
    else return false;
    return true;
  },
};

function what(target: Target | null): Target | null {
  const { piece } = useBench.getState();
  return target && target.picked.kind !== "vertex" ? target : piece ? { piece, picked: { kind: "piece", ids: [0] } } : null;
}

function Below() {
  const { spots } = useSketch();
  useBench((s) => s.values);
  if (!drawn()) return null;
  return (
    <Stack direction="row" spacing={1.25} sx={{ alignItems: "center", mt: 0.75 }}>
      <Typography variant="body2">
        {spots.length === 0 ? "Click where the line begins." : spots.length === 1 ? "Click where it ends." : "The line is drawn."}
      </Typography>
      {spots.length > 0 && (
        <Button
          size="small"
          onClick={() => {
            clearSketch();
            useBench.getState().try(null);
          }}
        >
          Draw it anew
        </Button>
      )}
    </Stack>
  );
}

export const tool: Tool = {
  id: "knife",
  name: "Knife",
  key: "k",
  shift: true,
  station: "refine",
  section: "Cut",
  order: 20,
  Icon: KnifeIcon,
  hint: "Cuts the faces picked before, or the whole piece: along a line across the view, or square to an axis.",
  needs: "piece",
  verb: "Cut",
  fields: [
    { name: "how", label: "Line", unit: "", initial: 0, step: 1, keep: true, options: ["drawn across the view", "across x", "across y", "across z"] },
    { name: "at", label: "At", unit: "mm", initial: 0, step: 1, keep: true, when: (v) => v.how > 0 },
    { name: "leave", label: "Leaves it", unit: "", initial: 0, step: 1, keep: true, options: ["joined", "open", "filled"] },
    { name: "keep", label: "Keeps", unit: "", initial: 0, step: 1, keep: true, options: ["both sides", "one side", "the other side"] },
    { name: "near", label: "Vertices within", unit: "mm", initial: 0.5, step: 0.1, min: 0, keep: true },
    { name: "cap", label: "Fills with", unit: "", initial: 0, step: 1, keep: true, options: ["one face", "quads"], when: (v) => v.leave === 2 },
    { name: "sharpness", label: "Sharpness", unit: "", initial: 0, step: 1, min: 0, max: 10, keep: true },
  ],
  places: (v) => v.how > 0,
  command: (v, target, placing) => {
    const meant = what(target);
    const normal = axesOf(placing)[v.how - 1];
    // Through the pivot where one is set, and from there so far along the axis.
    const plane = v.how ? { point: normal.map((x, k) => x * v.at + (placing.pivot?.[k] ?? 0)) as Vec, normal } : throughView();
    if (!meant || !plane) return null;
    return {
      kind: "knife", ...meant, ...plane, near: v.near, keep: keeps[v.keep], leave: leaves[v.leave], cap: v.cap ? "quads" : "face",
      sharpness: v.sharpness,
    };
  },
  grips(v) {
    if (v.how === 0) return [];
    const now = placing();
    const along = axesOf(now)[v.how - 1];
    const at = along.map((x, k) => x * v.at + (now.pivot?.[k] ?? 0)) as Vec;
    return [{ kind: "grip", field: "at", at, along, gain: 1 }];
  },
  pointing,
  Below,
};
