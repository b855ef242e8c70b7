/** Bring a file in as a reference: a picture on a view's plane, or a component to build around. */
import Button from "@mui/material/Button";
import CircularProgress from "@mui/material/CircularProgress";
import MenuItem from "@mui/material/MenuItem";
import Stack from "@mui/material/Stack";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useRef, useState } from "react";
import { useBench } from "../../live/bench";
import { useLook } from "../../live/look";
import { service } from "../../live/service";
import { ComponentIcon, PictureIcon } from "../../theme/icons";
import { NumberField } from "../NumberField";

const views = ["front", "right", "top", "back", "left", "bottom"];
const mostBytes = 128 * 1024 * 1024;

export function PictureCard() {
  const [view, setView] = useState("front");
  return (
    <Import
      title="Picture"
      Icon={PictureIcon}
      accept=".png,.jpg,.jpeg,.webp"
      hint="PNG, JPEG or WebP, laid on the plane of a flat view. Size it afterwards by two points whose distance is known."
      send={(design, revision, file) => service.addPicture(design, revision, file, view)}
    >
      <TextField select label="On the view" value={view} onChange={(event) => setView(event.target.value)} sx={{ minWidth: 110 }}>
        {views.map((v) => <MenuItem key={v} value={v}>{v}</MenuItem>)}
      </TextField>
    </Import>
  );
}

export function ComponentCard() {
  const [unit, setUnit] = useState("mm");
  const [clearance, setClearance] = useState(1);
  return (
    <Import
      title="Component"
      Icon={ComponentIcon}
      accept=".stl,.obj,.ply,.glb,.3mf,.step,.stp"
      hint="A closed body: STEP, 3MF or GLB, which know their unit, or STL, OBJ or PLY, for which it is chosen here."
      send={(design, revision, file) => service.addComponent(design, revision, file, unit, clearance)}
    >
      <TextField select label="File's unit" value={unit} onChange={(event) => setUnit(event.target.value)} sx={{ minWidth: 90 }}>
        {["mm", "cm", "m", "in"].map((u) => <MenuItem key={u} value={u}>{u}</MenuItem>)}
      </TextField>
      <NumberField field={{ name: "clearance", label: "Clearance", unit: "mm", initial: 1, step: 0.5, min: 0 }} value={clearance} onChange={setClearance} />
    </Import>
  );
}

function Import(props: {
  title: string;
  Icon: typeof PictureIcon;
  accept: string;
  hint: string;
  send(design: string, revision: number, file: File): Promise<{ references: { id: string }[] }>;
  children: React.ReactNode;
}) {
  const { design, attempt, takeTool, say } = useBench();
  const input = useRef<HTMLInputElement>(null);
  const [busy, setBusy] = useState(false);
  const bring = async (file: File | undefined) => {
    if (!file || !design) return;
    if (file.size > mostBytes)
      return say({ type: "/problems/bad-file", title: "Too large", status: 413, detail: `${file.name} has ${Math.ceil(file.size / 1024 / 1024)} MB; 128 MB are the most.` });
    say(null);
    setBusy(true);
    await attempt(async () => {
      const { references } = await props.send(design.id, design.revision, file);
      useLook.setState({ reference: references.at(-1)!.id });
      takeTool("reference");
    });
    setBusy(false);
    if (input.current) input.current.value = "";
  };
  return (
    <>
      <Stack direction="row" spacing={1.25} useFlexGap sx={{ alignItems: "center", flexWrap: "wrap" }}>
        <Stack direction="row" spacing={0.75} sx={{ alignItems: "center", color: "primary.main" }}>
          <props.Icon />
          <Typography variant="h3" sx={{ color: "text.primary" }}>{props.title}</Typography>
        </Stack>
        {props.children}
        <Button component="label" variant="contained" disabled={busy} startIcon={busy ? <CircularProgress size={16} /> : undefined}>
          {busy ? "Reading" : "Choose a file"}
          <input ref={input} hidden type="file" accept={props.accept} aria-label={`${props.title} file`} onChange={(event) => void bring(event.target.files?.[0])} />
        </Button>
      </Stack>
      <Typography variant="body2" color="text.secondary" sx={{ mt: 0.75 }}>{props.hint}</Typography>
    </>
  );
}
