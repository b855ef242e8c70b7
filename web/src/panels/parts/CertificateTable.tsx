/** What a solid states of itself, to be read at a glance. */
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import Stack from "@mui/material/Stack";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { service } from "../../live/service";
import { useUnit } from "../../live/stores/design";
import type { Certificate, RemarkState } from "../../model/types";
import { areaWords, lengthsWords, lengthWords, toUnit, volumeWords, type Unit } from "../../model/units";
import { ShowWhere } from "./ShowWhere";

/** With so many digits; what rounds to nothing has no sign. */
const group = (value: number, digits: number) =>
  value.toLocaleString("en-GB", { minimumFractionDigits: digits, maximumFractionDigits: digits }).replace(/^-(0(\.0+)?)$/, "$1");

const small = (mm: number, unit: Unit) => (mm !== 0 && toUnit(mm, unit) < 0.0001 ? `under 0.0001 ${unit}` : `${group(toUnit(mm, unit), 4)} ${unit}`);

/** What is the matter with a body in a word or two, for headings and names of files; nothing where all is well. */
export const shortFaults = (faults: RemarkState[]): string =>
  faults.some((fault) => fault.words.startsWith("Incomplete")) ? "incomplete" : faults.length ? "not sound" : "";

/** So many figures at first, in two lines: the form is to be seen beside them. */
const atFirst = 6;

function Remarks({ list, piece, bad }: { list: RemarkState[]; piece: string; bad?: boolean }) {
  return list.map((remark) => (
    <Typography
      key={remark.words}
      variant="body2"
      data-testid={bad ? "fault" : "warning"}
      sx={{ mt: 0.5, color: bad ? "error.main" : "#8A5A00", fontWeight: bad ? 600 : 400 }}
    >
      {remark.words} <ShowWhere piece={piece} place={remark.place} />
    </Typography>
  ));
}

export function CertificateTable({ certificate: c, stale, piece }: { certificate: Certificate; stale: boolean; piece: string }) {
  const m = c.measured;
  const unit = useUnit();
  const [all, setAll] = useState(false);
  const rows: [string, string][] = [
    ["Watertight", c.watertight ? (c.solid_count === 1 ? "yes, one closed solid" : `yes, ${c.solid_count} closed solids`) : "no"],
    ["Size", lengthsWords(c.size, unit)],
    ["Volume", volumeWords(c.volume, unit)],
    ["Area", areaWords(c.area, unit)],
    c.pole_count ? ["Faces", `${c.face_count}, each ${c.pole_count} × ${c.pole_count} poles`] : ["Triangles", group(c.face_count, 0)],
    ["Largest deviation", small(c.deviation, unit)],
  ];
  if (c.seam_angle != null) {
    const [edges, corners] = c.meant_sharp ?? [0, 0];
    rows.push(["Largest seam angle", `${group(c.seam_angle, 3)}°`]);
    if (edges || corners) rows.push(["Meant to be sharp", `${edges} edges, ${corners} corners`]);
  }
  if (m)
    rows.push(
      ["Crosses itself", m.crossings ? `at ${m.crossings} places` : "no crossing found"],
      ["Smallest wall", lengthWords(m.thinnest, unit)],
      ["Centre of mass", lengthsWords(m.centre, unit, ", ")],
    );
  if (m && c.route === "kernel")
    rows.push(["By triangles", volumeWords(m.mesh_volume, unit)], ["Kernel's tolerance", small(m.tolerance, unit)]);
  return (
    <Box sx={{ opacity: stale ? 0.55 : 1 }}>
      <Remarks list={c.faults ?? []} piece={piece} bad />
      <Box component="dl" aria-label={stale ? "Certificate of the solid before" : "Certificate"} sx={{ m: 0, display: "grid", gridTemplateColumns: "repeat(3, auto 1fr)", columnGap: 1.5, rowGap: 0.3, "& > * > *": { whiteSpace: "nowrap" } }}>
        {rows.map(([name, value], i) => (
          <Box key={name} sx={{ display: all || i < atFirst ? "contents" : "none" }}>
            <Typography component="dt" variant="body2" color="text.secondary">{name}</Typography>
            <Typography component="dd" variant="body2" sx={{ m: 0, fontWeight: 600 }}>{value}</Typography>
          </Box>
        ))}
      </Box>
      <Stack direction="row" sx={{ alignItems: "center", mt: 0.75 }}>
        <Weight volume={c.volume} />
        <Button size="small" color="inherit" aria-expanded={all} onClick={() => setAll(!all)} sx={{ ml: "auto" }}>
          {all ? "Fewer figures" : `All ${rows.length} figures`}
        </Button>
      </Stack>
      <Remarks list={c.warnings} piece={piece} />
    </Box>
  );
}

/** What it weighs in a material of the table. */
function Weight({ volume }: { volume: number }) {
  const { data: materials = [] } = useQuery({ queryKey: ["materials"], queryFn: service.materials, staleTime: Infinity });
  const [name, setName] = useState("Polylactide (PLA)");
  const material = materials.find((m) => m.name === name);
  if (!material) return null;
  const grams = (material.density * volume) / 1000;
  return (
    <Box sx={{ display: "flex", alignItems: "center", gap: 1.5 }}>
      <TextField select size="small" label="Weight in" value={name} onChange={(event) => setName(event.target.value)} sx={{ minWidth: 220 }}>
        {materials.map((m) => <MenuItem key={m.name} value={m.name}>{m.name}</MenuItem>)}
      </TextField>
      <Typography variant="body2" data-testid="weight" title={material.source} sx={{ fontWeight: 600 }}>
        {grams < 10 ? grams.toFixed(2) : grams.toFixed(1)} g
      </Typography>
      <Typography variant="body2" color="text.secondary">at {material.density} g/cm³</Typography>
    </Box>
  );
}
