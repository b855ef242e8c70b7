/** What the design is made of: bodies and their weight in each metal, stones by kind and size. */
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import Stack from "@mui/material/Stack";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { attempt } from "../../live/picks";
import { download, service } from "../../live/service";
import { useDesign, useUnit } from "../../live/stores/design";
import type { CardProps } from "../../model/tool";
import type { Bill } from "../../model/types";
import { lengthWords, trimmed, volumeWords } from "../../model/units";
import { CardHead } from "../parts/CardHead";
import { NumberField } from "../parts/NumberField";

const density = { is: "number", label: "Density", unit: "", initial: 10, step: 0.1, above: 0, max: 25, help: "g/cm³" } as const;
const OWN = "a density of its own";
const grams = (x: number) => `${x < 10 ? x.toFixed(2) : x.toFixed(1)} g`;

export default function BillCard({ tool }: CardProps) {
  const design = useDesign((s) => s.design?.id);
  const name = useDesign((s) => s.design?.name ?? "Design");
  const revision = useDesign((s) => s.design?.revision);
  const { data: bill, error } = useQuery({ queryKey: ["bill", design, revision], queryFn: () => service.bill(design ?? ""), enabled: !!design, retry: false });
  return (
    <>
      <Stack direction="row" spacing={1.5} sx={{ alignItems: "center" }}>
        <CardHead drawing={tool.icon}>Bill</CardHead>
        <Button size="small" variant="outlined" disabled={!bill} onClick={() => void attempt(() => download(service.billAddress(design ?? ""), `${name}, bill.csv`))}>CSV</Button>
      </Stack>
      {bill ? <Lines bill={bill} /> : <Typography variant="body2" color="text.secondary" role="status">{error ? error.message : "Weighing…"}</Typography>}
    </>
  );
}

function Lines({ bill }: { bill: Bill }) {
  const unit = useUnit();
  return (
    <Stack spacing={0.75} sx={{ mt: 0.75, minWidth: 520 }} data-testid="bill">
      {bill.metal.length > 0 && <Weights bill={bill} />}
      <Box component="table" sx={{ borderCollapse: "collapse", "& td, & th": { textAlign: "left", px: 0.75, py: 0.2, fontSize: 13, borderBottom: 1, borderColor: "divider" } }}>
        <tbody>
          {bill.metal.map((line) => (
            <tr key={line.piece}>
              <th scope="row">{line.count > 1 ? `${line.name}, ${line.count} bodies` : line.name}</th>
              <td>{volumeWords(line.volume, unit, 5)}</td>
              <td colSpan={2}>{line.bore ? `bore ⌀ ${lengthWords(line.bore, unit)}${line.bore_words ? `: ${line.bore_words}` : ""}` : ""}</td>
            </tr>
          ))}
          {bill.stones.map((line) => (
            <tr key={`${line.material} ${line.cut} ${line.size}`}>
              <th scope="row">{line.count} × {line.material}, {line.cut.toLowerCase()}</th>
              <td>{line.size} mm</td>
              <td>{trimmed(line.each, 4)} ct each</td>
              <td>{trimmed(line.carats, 3)} ct</td>
            </tr>
          ))}
          {bill.findings.map((line) => (
            <tr key={line.name}>
              <th scope="row">{line.count} × {line.name}</th>
              <td colSpan={3}>put to it, not weighed</td>
            </tr>
          ))}
        </tbody>
      </Box>
      {bill.lacks.map((words) => <Typography key={words} variant="body2" role="status" sx={{ color: "error.main" }}>{words}</Typography>)}
      {!bill.metal.length && !bill.stones.length && <Typography variant="body2">Nothing that is shown is closed, or a stone.</Typography>}
    </Stack>
  );
}

/** The weight of all bodies in a metal, the wax it is cast after, and their ratio. */
function Weights({ bill }: { bill: Bill }) {
  const [name, setName] = useState("Silver, 925 with copper");
  const [own, setOwn] = useState(10);
  const metals = bill.weights.filter((w) => w.wax !== null);
  const wax = bill.weights.find((w) => w.wax === null);
  const metal = metals.find((w) => w.material === name);
  const dense = metal?.density ?? own;
  const weight = (bill.volume * dense) / 1000;
  return (
    <Stack direction="row" spacing={1.5} sx={{ alignItems: "center" }}>
      <TextField select size="small" label="Weight in" value={name} onChange={(event) => setName(event.target.value)} sx={{ minWidth: 230 }}>
        {metals.map((w) => <MenuItem key={w.material} value={w.material}>{w.material}</MenuItem>)}
        <MenuItem value={OWN}>{OWN}</MenuItem>
      </TextField>
      {name === OWN && <NumberField field={density} value={own} onChange={setOwn} />}
      <Typography data-testid="metal-weight" title={metal?.source} sx={{ fontWeight: 600 }}>{grams(weight)}</Typography>
      <Typography variant="body2" color="text.secondary">at {trimmed(dense, 3)} g/cm³</Typography>
      {wax && <Typography variant="body2" data-testid="wax">wax {grams(wax.grams)}, metal to wax {trimmed(dense / wax.density, 2)} to 1</Typography>}
    </Stack>
  );
}
