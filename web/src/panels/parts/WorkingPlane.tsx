/** The plane on which points are set where nothing else lies under them. */
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useShallow } from "zustand/react/shallow";
import { useDesign } from "../../live/stores/design";
import { show, useShow } from "../../live/stores/show";
import type { NumberField as Field } from "../../model/fields";
import { NumberField } from "./NumberField";

const sides = ["ground", "front", "side"];
const atField: Field = { is: "number", label: "Plane at", unit: "mm", initial: 0, step: 1 };

export function WorkingPlane() {
  const [plane, planeAt] = useShow(useShallow((s) => [s.plane, s.planeAt] as const));
  const references = useDesign((s) => s.design?.references) ?? [];
  const pictures = references.filter((r) => r.kind === "picture");
  const known = sides.includes(plane) || pictures.some((p) => p.id === plane);
  return (
    <>
      <TextField select label="Working plane" value={known ? plane : "ground"} onChange={(event) => show({ plane: event.target.value })} sx={{ minWidth: 112 }}>
        {sides.map((side) => <MenuItem key={side} value={side}>{side}</MenuItem>)}
        {pictures.map((p) => <MenuItem key={p.id} value={p.id}>picture {p.name}</MenuItem>)}
      </TextField>
      {sides.includes(plane) && <NumberField field={atField} value={planeAt} onChange={(at) => show({ planeAt: at })} />}
    </>
  );
}
