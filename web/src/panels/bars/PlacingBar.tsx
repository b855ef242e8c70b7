/** About what things turn and are sized, and along which axes: pivot and orientation. */
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { useShallow } from "zustand/react/shallow";
import { pieces } from "../../live/pieces";
import { pivotToPicked } from "../../live/pivot";
import { usePicking } from "../../live/stores/picking";
import { type Orientation, show, useShow } from "../../live/stores/show";
import { again } from "../../live/tooling";
import type { NumberField as Field } from "../../model/fields";
import { edgeFrame } from "../../model/measure";
import type { Vec } from "../../model/vec";
import { NumberField } from "../parts/NumberField";

const orientations: [Orientation, string][] = [
  ["world", "world"],
  ["view", "view"],
  ["selection", "selection"],
  ["edge", "picked edge"],
];
const coordinates = ["x", "y", "z"].map((name): Field => ({ is: "number", label: `Pivot ${name}`, unit: "mm", initial: 0, step: 1 }));

export function PlacingBar({ pivots }: { pivots: boolean }) {
  return (
    <>
      <AlongAxes />
      {pivots && <Pivot />}
    </>
  );
}

function AlongAxes() {
  const orientation = useShow((s) => s.orientation);
  const [piece, edge] = usePicking(useShallow((s) => [s.piece, s.pickKind === "edge" && s.picked.length === 1 ? s.picked[0] : null] as const));
  const orient = (next: Orientation) => {
    if (next === "edge") {
      const arrays = piece ? pieces.byId.get(piece) : undefined;
      if (!arrays || edge === null) return;
      show({ edgeFrame: edgeFrame(arrays.cage, edge) });
    }
    show({ orientation: next });
    // What the numbers on the card mean has changed with the axes, so the preview follows.
    again();
  };
  return (
    <TextField select label="Along the axes of" value={orientation} onChange={(event) => orient(event.target.value as Orientation)} sx={{ minWidth: 118 }}>
      {orientations.map(([id, name]) => (
        <MenuItem key={id} value={id} disabled={id === "edge" && orientation !== "edge" && edge === null}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  );
}

function Pivot() {
  const pivot = useShow((s) => s.pivot);
  const anyPicked = usePicking((s) => s.picked.length > 0);
  const [typing, setTyping] = useState(false);
  const place = (next: string) => {
    setTyping(next === "typed");
    if (next === "middle") show({ pivot: null });
    else if (next === "world") show({ pivot: [0, 0, 0] });
    else if (next === "picked") pivotToPicked();
    else if (next === "typed" && !pivot) show({ pivot: [0, 0, 0] });
    again();
  };
  const type = (i: number, v: number) => {
    show(({ pivot: was }) => ({ pivot: (was ?? [0, 0, 0]).map((x, k) => (k === i ? v : x)) as Vec }));
    again();
  };
  const now = !pivot ? "middle" : typing ? "typed" : pivot.every((x) => x === 0) ? "world" : "picked";
  return (
    <>
      <TextField select label="Pivot" value={now} onChange={(event) => place(event.target.value)} sx={{ minWidth: 118 }}>
        <MenuItem value="middle">selection's middle</MenuItem>
        <MenuItem value="picked" disabled={!anyPicked && now !== "picked"}>the picked (U)</MenuItem>
        <MenuItem value="world">world's origin</MenuItem>
        <MenuItem value="typed">a typed point</MenuItem>
      </TextField>
      {pivot && typing && coordinates.map((field, i) => <NumberField key={field.label} field={field} value={pivot[i]} onChange={(v) => type(i, v)} />)}
      {pivot && now === "picked" && (
        <Typography variant="body2" color="text.secondary">at {pivot.map((x) => Number(x.toFixed(2))).join(", ")}</Typography>
      )}
      {pivot && <Button size="small" onClick={() => place("middle")}>Middle again</Button>}
    </>
  );
}
