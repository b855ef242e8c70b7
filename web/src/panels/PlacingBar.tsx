/** About what things turn and are sized, and along which axes: pivot and orientation. */
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { pieces, useBench } from "../live/bench";
import { type Orientation, useLook, type Vec } from "../live/look";
import type { Field } from "../tools/tool";
import { edgeFrame, middleOf } from "../viewport/measure";
import { NumberField } from "./NumberField";

const orientations: [Orientation, string][] = [
  ["world", "world"],
  ["view", "view"],
  ["selection", "selection"],
  ["edge", "picked edge"],
];
const coordinate = (name: string): Field => ({ name, label: `Pivot ${name}`, unit: "mm", initial: 0, step: 1 });

export function pivotToPicked(): void {
  const { piece, pickKind, picked } = useBench.getState();
  const arrays = piece ? pieces.byId.get(piece) : undefined;
  if (!arrays || !picked.length) return;
  const at = middleOf(arrays.cage, pickKind, picked);
  useLook.setState({ pivot: at.toArray() as Vec });
}

export function PlacingBar({ pivots }: { pivots: boolean }) {
  const { pivot, orientation, set } = useLook();
  const { piece, pickKind, picked, setValues, values } = useBench();
  const [typing, setTyping] = useState(false);
  const arrays = piece ? pieces.byId.get(piece) : undefined;
  // What the numbers on the card mean has changed with the axes, so the preview follows.
  const again = () => {
    if (useBench.getState().touched) setValues({ ...values });
  };
  const orient = (next: Orientation) => {
    if (next === "edge") {
      if (!arrays || pickKind !== "edge" || picked.length !== 1) return;
      set({ edgeFrame: edgeFrame(arrays.cage, picked[0]) });
    }
    set({ orientation: next });
    again();
  };
  const place = (next: string) => {
    setTyping(next === "typed");
    if (next === "middle") set({ pivot: null });
    else if (next === "world") set({ pivot: [0, 0, 0] });
    else if (next === "picked") pivotToPicked();
    else if (next === "typed" && !pivot) set({ pivot: [0, 0, 0] });
    again();
  };
  const now = !pivot ? "middle" : typing ? "typed" : pivot.every((x) => x === 0) ? "world" : "picked";
  return (
    <>
      <TextField select label="Along the axes of" value={orientation} onChange={(event) => orient(event.target.value as Orientation)} sx={{ minWidth: 118 }}>
        {orientations.map(([id, name]) => (
          <MenuItem key={id} value={id} disabled={id === "edge" && orientation !== "edge" && !(pickKind === "edge" && picked.length === 1)}>
            {name}
          </MenuItem>
        ))}
      </TextField>
      {pivots && (
        <TextField select label="Pivot" value={now} onChange={(event) => place(event.target.value)} sx={{ minWidth: 118 }}>
          <MenuItem value="middle">selection's middle</MenuItem>
          <MenuItem value="picked" disabled={!picked.length && now !== "picked"}>the picked (U)</MenuItem>
          <MenuItem value="world">world's origin</MenuItem>
          <MenuItem value="typed">a typed point</MenuItem>
        </TextField>
      )}
      {pivots && pivot && typing &&
        ["x", "y", "z"].map((name, i) => (
          <NumberField
            key={name}
            field={coordinate(name)}
            value={pivot[i]}
            onChange={(v) => {
              set({ pivot: pivot.map((x, k) => (k === i ? v : x)) as Vec });
              again();
            }}
          />
        ))}
      {pivots && pivot && !typing && now === "picked" && (
        <Typography variant="body2" color="text.secondary">at {pivot.map((x) => Number(x.toFixed(2))).join(", ")}</Typography>
      )}
      {pivots && pivot && <Button size="small" onClick={() => place("middle")}>Middle again</Button>}
    </>
  );
}
