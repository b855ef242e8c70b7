/** How forms are shown: smoothness, material, lines and marks. Nothing here changes the design. */
import Button from "@mui/material/Button";
import Checkbox from "@mui/material/Checkbox";
import FormControlLabel from "@mui/material/FormControlLabel";
import Popover from "@mui/material/Popover";
import Slider from "@mui/material/Slider";
import Stack from "@mui/material/Stack";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { useShallow } from "zustand/react/shallow";
import { smoothTo } from "../live/line";
import { pieces } from "../live/pieces";
import { usePicking } from "../live/stores/picking";
import { lights } from "../model/pictures";
import { draw, type FlatName, type Material, show, useShow } from "../live/stores/show";

function Choice<T extends string | number>(props: { label: string; value: T; options: [T, string][]; onChange(value: T): void }) {
  return (
    <Stack direction="row" spacing={1.5} sx={{ alignItems: "center", justifyContent: "space-between" }}>
      <Typography variant="body2">{props.label}</Typography>
      <ToggleButtonGroup size="small" exclusive value={props.value} aria-label={props.label} onChange={(_, v: T | null) => v !== null && props.onChange(v)}>
        {props.options.map(([value, words]) => (
          <ToggleButton key={value} value={value} aria-label={`${props.label}: ${words}`}>{words}</ToggleButton>
        ))}
      </ToggleButtonGroup>
    </Stack>
  );
}

export function ShowMenu() {
  const look = useShow(
    useShallow(({ level, material, light, isolines, wire, second, normals, valences, backs, bodies, dimensions, quick, smooth, hollows }) => ({
      level, material, light, isolines, wire, second, normals, valences, backs, bodies, dimensions, quick, smooth, hollows,
    })),
  );
  const piece = usePicking((s) => s.piece);
  const [at, setAt] = useState<HTMLElement | null>(null);
  const surface = piece ? pieces.byId.get(piece)?.surface : undefined;
  const check = (name: "normals" | "valences" | "backs" | "bodies" | "dimensions", words: string) => (
    <FormControlLabel
      key={name}
      control={<Checkbox size="small" checked={look[name]} onChange={(event) => show({ [name]: event.target.checked })} />}
      label={<Typography variant="body2">{words}</Typography>}
      sx={{ my: -0.6 }}
    />
  );
  const drawing = (name: "quick" | "smooth" | "hollows", words: string) => (
    <FormControlLabel
      control={<Checkbox size="small" checked={look[name]} onChange={(event) => draw(name, event.target.checked)} />}
      label={<Typography variant="body2">{words}</Typography>}
      sx={{ my: -0.6 }}
    />
  );
  return (
    <>
      <Button size="small" color="inherit" onClick={(event) => setAt(event.currentTarget)} aria-haspopup="dialog" sx={{ fontWeight: 500, minWidth: 0, px: 0.75 }}>
        Look…
      </Button>
      <Popover open={at !== null} anchorEl={at} onClose={() => setAt(null)} anchorOrigin={{ vertical: "bottom", horizontal: "left" }} slotProps={{ paper: { role: "dialog", "aria-label": "Look" } }}>
        <Stack spacing={1} sx={{ p: 2, width: 372 }}>
          <Choice label="Smoothness" value={look.level ?? 0} options={[[0, "quick"], [1, "1"], [2, "2"], [3, "3"], [4, "4"]]} onChange={(v) => smoothTo(v || null)} />
          <Typography variant="body2" color="text.secondary" data-testid="triangles">
            {surface ? `Level ${surface.level}: ${(surface.quads.length / 2).toLocaleString("en")} triangles` : "Nothing is picked"}
          </Typography>
          <Choice<Material> label="Material" value={look.material} options={[["clay", "clay"], ["finish", "as it is of"], ["metal", "metal"], ["stripes", "stripes"]]} onChange={(material) => show({ material })} />
          {look.material === "finish" && (
            <Choice label="Light" value={look.light.around} options={(["tent", "window", "dusk"] as const).map((name) => [name, lights[name].toLowerCase()])} onChange={(around) => show({ light: { ...look.light, around } })} />
          )}
          <Stack direction="row" spacing={1.5} sx={{ alignItems: "center" }}>
            <Typography variant="body2" sx={{ flexShrink: 0 }}>Light turned</Typography>
            <Slider size="small" aria-label="Light turned" value={look.light.turn} min={-180} max={180} step={5} marks={[{ value: 0 }]} valueLabelDisplay="auto" valueLabelFormat={(v) => `${v}°`} onChange={(_, turn) => show({ light: { ...look.light, turn } })} />
            <Typography variant="body2">brighter</Typography>
            <Slider size="small" aria-label="Light brighter" value={look.light.stops} min={-2} max={2} step={0.1} marks={[{ value: 0 }]} valueLabelDisplay="auto" valueLabelFormat={(v) => v.toFixed(1)} onChange={(_, stops) => show({ light: { ...look.light, stops } })} />
          </Stack>
          <Choice label="Isolines to a face" value={look.isolines} options={[[0, "none"], [1, "1"], [2, "2"], [4, "4"], [8, "8"]]} onChange={(isolines) => show({ isolines })} />
          <Choice label="Wireframe of level" value={look.wire} options={[[0, "none"], [1, "1"], [2, "2"], [3, "3"], [4, "4"]]} onChange={(wire) => show({ wire })} />
          <Choice<FlatName | "none"> label="Second view" value={look.second ?? "none"} options={[["none", "none"], ["front", "front"], ["right", "right"], ["top", "top"]]} onChange={(s) => show({ second: s === "none" ? null : s })} />
          {check("normals", "Normals of faces")}
          {check("valences", "Numbers at extraordinary vertices")}
          {check("backs", "Back sides tinted")}
          {check("dimensions", "Dimensions, with their numbers")}
          {check("bodies", "What followers make, instead of the plain surface")}
          {drawing("smooth", "Edges drawn smooth")}
          {drawing("hollows", "Hollows in soft shade")}
          {drawing("quick", "Quick drawing, for machines without a graphics card")}
        </Stack>
      </Popover>
    </>
  );
}
