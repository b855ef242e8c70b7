/** The reference in hand: where it lies, how it is shown, and what is known of its size. */
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import Slider from "@mui/material/Slider";
import Stack from "@mui/material/Stack";
import TextField from "@mui/material/TextField";
import ToggleButton from "@mui/material/ToggleButton";
import Typography from "@mui/material/Typography";
import { useQuery } from "@tanstack/react-query";
import { useRef, useState } from "react";
import { give } from "../../live/line";
import { attempt } from "../../live/picks";
import { meshOf } from "../../live/references";
import { service } from "../../live/service";
import { useDesign, useUnit } from "../../live/stores/design";
import { useNear } from "../../live/stores/near";
import { show, useShow } from "../../live/stores/show";
import { goToWrong } from "../../live/stores/wrong";
import { clearSketch, useSketch } from "../../live/stores/sketch";
import { takeTool } from "../../live/tooling";
import { numbersRead } from "../../live/numbers";
import type { Command, ComponentState, PictureState } from "../../model/types";
import { lengthsWords, lengthWords } from "../../model/units";
import { ComponentIcon, PictureIcon } from "../../theme/icons";
import type { NumberField as Field } from "../../model/fields";
import type { Vec } from "../../model/vec";
import { NumberField } from "../parts/NumberField";
import { useFor } from "../parts/useFor";

const length = (label: string, more: Partial<Field> = {}): Field => ({ is: "number", label, unit: "mm", initial: 0, step: 1, ...more });
const angle = (label: string): Field => ({ is: "number", label, unit: "°", initial: 0, step: 5 });

export default function ReferenceCard() {
  const id = useShow((s) => s.reference);
  const reference = useDesign((s) => s.design?.references.find((r) => r.id === id));
  if (!reference) return <Typography>Pick a reference in the list on the right, or bring one in.</Typography>;
  return reference.kind === "picture" ? <Picture key={reference.id} picture={reference} /> : <Component key={reference.id} component={reference} />;
}

function Head({ reference, children }: { reference: PictureState | ComponentState; children?: React.ReactNode }) {
  const Icon = reference.kind === "picture" ? PictureIcon : ComponentIcon;
  return (
    <Stack direction="row" spacing={0.75} sx={{ alignItems: "center", color: "primary.main" }}>
      <Icon />
      <Typography component="h2" variant="h3" noWrap sx={{ color: "text.primary", maxWidth: 180 }}>{reference.name}</Typography>
      {children}
    </Stack>
  );
}

/** Fade, and delete: what both kinds share. */
function Common({ reference }: { reference: PictureState | ComponentState }) {
  // While the slider is held it shows where it is held.
  const [held, setHeld] = useFor<number>(`${reference.id} ${reference.opacity}`);
  const opacity = held ?? reference.opacity;
  return (
    <>
      <Stack direction="row" spacing={1} sx={{ alignItems: "center" }}>
        <Typography variant="body2">Fade</Typography>
        <Slider
          aria-label="Opacity"
          size="small"
          value={Math.round(opacity * 100)}
          min={5}
          max={100}
          valueLabelDisplay="auto"
          onChange={(_, v) => setHeld((v) / 100)}
          onChangeCommitted={(_, v) => void give({ kind: "change-reference", reference: reference.id, opacity: (v) / 100 })}
          sx={{ width: 90 }}
        />
      </Stack>
      <Button
        color="inherit"
        disabled={reference.locked}
        onClick={() => {
          void give({ kind: "delete-reference", reference: reference.id });
          takeTool(null);
        }}
      >
        Delete
      </Button>
    </>
  );
}

function Picture({ picture }: { picture: PictureState }) {
  const spots = useSketch((s) => s.spots);
  const marking = useSketch((s) => s.marking !== null);
  const [apart, setApart] = useState(50);
  // What an expression comes to may be known only after Enter was pressed.
  const latest = useRef(50);
  const place = (change: Omit<Extract<Command, { kind: "place-picture" }>, "kind" | "reference">) =>
    void give({ kind: "place-picture", reference: picture.id, ...change });
  const pixels = (point: Vec): [number, number] => {
    const off = point.map((x, i) => x - picture.centre[i]);
    const along = (axis: number[]) => off.reduce((sum, x, i) => sum + x * axis[i], 0);
    const mm = picture.width / picture.pixels[0];
    return [along(picture.right) / mm + picture.pixels[0] / 2, picture.pixels[1] / 2 - along(picture.up) / mm];
  };
  const size = async () => {
    await numbersRead();
    if (goToWrong()) return;
    const [start, end] = spots.map((spot) => pixels(spot.point));
    void give({ kind: "measure-picture", reference: picture.id, start, end, distance: latest.current });
    clearSketch();
  };
  return (
    <Stack direction="row" spacing={1.25} useFlexGap sx={{ alignItems: "center", flexWrap: "wrap", rowGap: 1.1 }}>
      <Head reference={picture} />
      {marking ? (
        <Stack component="form" direction="row" spacing={1.25} sx={{ alignItems: "center" }} onSubmit={(event: React.FormEvent) => { event.preventDefault(); void size(); }}>
          <Typography variant="body2">{spots.length < 2 ? `Click the ${spots.length ? "second" : "first"} point on the picture.` : "How far apart are they?"}</Typography>
          {spots.length === 2 && (
            <>
              <NumberField field={length("Distance", { min: 0.001 })} value={apart} onChange={(v) => { latest.current = v; setApart(v); }} />
              <Button type="submit" variant="contained">Set size</Button>
            </>
          )}
          <Button color="inherit" onClick={clearSketch}>Cancel</Button>
        </Stack>
      ) : (
        <>
          <NumberField disabled={picture.locked} field={length("Width", { min: 0.001 })} value={picture.width} onChange={(width) => place({ width })} />
          {["x", "y", "z"].map((name, i) => (
            <NumberField key={name} disabled={picture.locked} field={length(`Middle ${name}`)} value={picture.centre[i]} onChange={(v) => place({ centre: picture.centre.map((x, k) => (k === i ? v : x)) as Vec })} />
          ))}
          <NumberField disabled={picture.locked} field={angle("Turn")} value={picture.degrees} onChange={(degrees) => place({ degrees })} />
          <TextField select label="On the view" value={picture.view} disabled={picture.locked} onChange={(event) => place({ view: event.target.value as "front" })} sx={{ minWidth: 92 }}>
            {["front", "right", "top", "back", "left", "bottom"].map((v) => <MenuItem key={v} value={v}>{v}</MenuItem>)}
          </TextField>
          <Button variant="outlined" disabled={picture.locked} onClick={() => { clearSketch(); useSketch.setState({ marking: picture.id }); }}>Mark two points</Button>
          <ToggleButton size="small" value="front" selected={picture.in_front} onChange={() => void give({ kind: "change-reference", reference: picture.id, in_front: !picture.in_front })}>In front</ToggleButton>
          <Common reference={picture} />
        </>
      )}
    </Stack>
  );
}

function Component({ component }: { component: ComponentState }) {
  const near = useNear((s) => s.list).filter((n) => n.reference === component.id);
  const unit = useUnit();
  const facets = useShow((s) => s.facets);
  const { data: mesh } = useQuery({ queryKey: ["mesh", component.asset], queryFn: () => meshOf(component.asset), staleTime: Infinity });
  const drawn = (mesh?.triangles.length ?? 0) / 3;
  const nearest = near.length ? near.reduce((a, b) => (a.distance < b.distance ? a : b)) : null;
  const name = useDesign((s) => s.design?.pieces.find((p) => p.id === nearest?.piece)?.name);
  const move = (i: number, v: number) => {
    const vector: Vec = [0, 0, 0];
    vector[i] = v - component.centre[i];
    void give({ kind: "place-component", reference: component.id, vector, axis: [0, 0, 1], degrees: 0 });
  };
  const turn = (i: number) => {
    const axis: Vec = [0, 0, 0];
    axis[i] = 1;
    void give({ kind: "place-component", reference: component.id, vector: [0, 0, 0], axis, degrees: 90 });
  };
  return (
    <>
      <Stack direction="row" spacing={1.25} useFlexGap sx={{ alignItems: "center", flexWrap: "wrap", rowGap: 1.1 }}>
        <Head reference={component} />
        {["x", "y", "z"].map((axis, i) => (
          <NumberField key={axis} disabled={component.locked} field={length(`Middle ${axis}`)} value={component.centre[i]} onChange={(v) => move(i, v)} />
        ))}
        {["x", "y", "z"].map((axis, i) => (
          <Button key={axis} size="small" variant="outlined" disabled={component.locked} onClick={() => turn(i)} aria-label={`Turn a quarter about ${axis}`}>90° {axis}</Button>
        ))}
        {!component.stand && <TextField select label="It is" value={component.scan ? "scan" : "part"} onChange={(event) => void give({ kind: "change-reference", reference: component.id, scan: event.target.value === "scan" })} sx={{ minWidth: 120 }}>
          <MenuItem value="part">a part to keep clear of</MenuItem>
          <MenuItem value="scan">a scan to lie on</MenuItem>
        </TextField>}
        {!component.scan && !component.stand && <NumberField field={length("Clearance", { min: 0, step: 0.5 })} value={component.clearance} onChange={(clearance) => void give({ kind: "change-reference", reference: component.id, clearance })} />}
        {component.scan && <CleanUp component={component} />}
        <ToggleButton size="small" value="facets" selected={facets.includes(component.id)} onChange={() => show({ facets: facets.includes(component.id) ? facets.filter((one) => one !== component.id) : [...facets, component.id] })}>Facets</ToggleButton>
        <Common reference={component} />
      </Stack>
      <Typography variant="body2" color="text.secondary" sx={{ mt: 0.75 }}>
        {lengthsWords(component.size, unit)}, {component.triangles.toLocaleString("en")} triangles{drawn && drawn < component.triangles ? `, drawn by ${drawn.toLocaleString("en")} and measured to all` : ""}.
        {mesh?.notes.length ? ` When it came in: ${mesh.notes.join("; ")}.` : ""}
        {nearest ? ` Nearest: ${name}, ${lengthWords(nearest.distance, unit)}.` : ""}
        {nearest && !nearest.signed ? " Its mesh is open, so that inside and outside cannot be told: distances are to its faces, and nothing tells whether a form cuts into it." : ""}
        {component.locked ? " Unlock it in the list to move it." : ""}
      </Typography>
    </>
  );
}

/** Leaves out loose parts, lays spikes back, closes small holes; the step says how many. */
function CleanUp({ component }: { component: ComponentState }) {
  const [holes, setHoles] = useState(0);
  const [busy, setBusy] = useState(false);
  const clean = async () => {
    const { design } = useDesign.getState();
    if (!design) return;
    setBusy(true);
    await attempt(() => service.cleanScan(design.id, component.id, design.revision, holes));
    setBusy(false);
  };
  return (
    <>
      <NumberField field={length("Close rims up to", { min: 0, step: 5 })} value={holes} onChange={setHoles} />
      <Button variant="outlined" disabled={busy} onClick={() => void clean()}>{busy ? "Cleaning up" : "Clean up"}</Button>
    </>
  );
}
