/** Bring a component in, to build around. */
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { service } from "../../live/service";
import type { NumberField as Field } from "../../model/fields";
import type { CardProps } from "../../model/tool";
import { FileCard } from "../parts/FileCard";
import { NumberField } from "../parts/NumberField";

const clearanceField: Field = { is: "number", label: "Clearance", unit: "mm", initial: 1, step: 0.5, min: 0 };

export default function ComponentCard({ tool }: CardProps) {
  const [unit, setUnit] = useState("mm");
  const [clearance, setClearance] = useState(1);
  const [scan, setScan] = useState(false);
  return (
    <FileCard
      tool={tool}
      most={320}
      hint="STEP, 3MF or GLB, which know their unit, or STL, OBJ, PLY or XYZ, for which it is chosen here. Points alone get a surface."
      send={(design, revision, file, watch) => service.addComponent(design, revision, file, { unit, clearance: scan ? 0 : clearance, scan, watch })}
    >
      <TextField select label="It is" value={scan ? "scan" : "part"} onChange={(event) => setScan(event.target.value === "scan")} sx={{ minWidth: 150 }}>
        <MenuItem value="part">a part to keep clear of</MenuItem>
        <MenuItem value="scan">a scan to lie on</MenuItem>
      </TextField>
      <TextField select label="File's unit" value={unit} onChange={(event) => setUnit(event.target.value)} sx={{ minWidth: 90 }}>
        {["mm", "cm", "m", "in"].map((u) => <MenuItem key={u} value={u}>{u}</MenuItem>)}
      </TextField>
      {!scan && <NumberField field={clearanceField} value={clearance} onChange={setClearance} />}
    </FileCard>
  );
}
