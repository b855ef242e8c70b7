/** Quads for a scan: how many, mirrored or not; shown before they are kept, with how far they lie from it. */
import Button from "@mui/material/Button";
import LinearProgress from "@mui/material/LinearProgress";
import MenuItem from "@mui/material/MenuItem";
import Stack from "@mui/material/Stack";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useEffect, useRef, useState } from "react";
import { give, preview } from "../../live/line";
import { attempt } from "../../live/picks";
import { service } from "../../live/service";
import { useDesign, useUnit } from "../../live/stores/design";
import { useSharp } from "../../live/stores/sharp";
import { useShow } from "../../live/stores/show";
import { useAnyWrong } from "../../live/stores/wrong";
import type { NumberField as Field } from "../../model/fields";
import type { CardProps } from "../../model/tool";
import type { Command, Proposed } from "../../model/types";
import { fineLengthWords } from "../../model/units";
import { CardHead } from "../parts/CardHead";
import { NumberField } from "../parts/NumberField";
import { useJob } from "../parts/useJob";

const countField: Field = { is: "number", label: "Quads, about", unit: "", initial: 400, step: 20, min: 24, max: 5000, whole: true };
const mirrors = { no: "no", x: "across x", y: "across y", z: "across z" } as const;
type Mirrored = keyof typeof mirrors;
/** As the service follows them. */
const sharpFrom = 30;

export default function ProposeCard({ tool }: CardProps) {
  const references = useDesign((s) => s.design?.references) ?? [];
  const components = references.filter((r) => r.kind === "component");
  const inHand = useShow((s) => s.reference);
  const [chosen, setChosen] = useState("");
  const component = components.find((r) => r.id === (chosen || inHand)) ?? components[0];
  const anyWrong = useAnyWrong();
  const [count, setCount] = useState(400);
  const [mirrored, setMirrored] = useState<Mirrored>("no");
  const [sharp, setSharp] = useState(true);
  const [found, setFound] = useState<{ proposed: Proposed; command: Command } | null>(null);
  const asked = useRef<{ key: string; name: string; mirrored: Mirrored } | null>(null);
  const forget = () => {
    setFound(null);
    preview(null);
  };
  const work = useJob(async () => {
    if (!asked.current) return;
    const { key, name, mirrored } = asked.current;
    const proposed = await service.proposed(key);
    const command = { kind: "add-cage", name, positions: proposed.positions, faces: proposed.faces, creases: proposed.creases, mirrored } as Command;
    setFound({ proposed, command });
    preview(command);
  }, undefined);
  // What is only shown goes with the card.
  useEffect(() => () => preview(null), []);
  const on = component?.id;
  useEffect(() => {
    useSharp.setState({ shown: sharp && on ? { on, degrees: sharpFrom } : null });
    return () => useSharp.setState({ shown: null });
  }, [sharp, on]);
  if (!component) return <Empty tool={tool} />;
  const propose = () =>
    void attempt(async () => {
      const id = useDesign.getState().design?.id;
      if (!id) return;
      forget();
      const begun = await service.beginProposal(id, { component: component.id, count, mirrored, sharp });
      asked.current = { key: begun.key, name: `${component.name}, in quads`.slice(0, 80), mirrored };
      work.begin(begun.job.id);
    });
  const keep = () => {
    if (found) void give(found.command);
    setFound(null);
  };
  return (
    <>
      <Stack direction="row" spacing={1.25} useFlexGap sx={{ alignItems: "center", flexWrap: "wrap", rowGap: 1 }}>
        <CardHead drawing={tool.icon}>{tool.name}</CardHead>
        <TextField select label="For" value={component.id} onChange={(event) => { setChosen(event.target.value); forget(); }} sx={{ minWidth: 120 }}>
          {components.map((r) => <MenuItem key={r.id} value={r.id}>{r.name}</MenuItem>)}
        </TextField>
        <NumberField field={countField} value={count} onChange={setCount} />
        <TextField select label="Mirrored" value={mirrored} onChange={(event) => setMirrored(event.target.value as Mirrored)} sx={{ minWidth: 100 }}>
          {(Object.entries(mirrors) as [Mirrored, string][]).map(([one, words]) => <MenuItem key={one} value={one}>{words}</MenuItem>)}
        </TextField>
        <TextField select label="Sharp lines" value={sharp ? "followed" : "left"} onChange={(event) => { setSharp(event.target.value === "followed"); forget(); }} sx={{ minWidth: 100 }}>
          <MenuItem value="followed">followed, hard</MenuItem>
          <MenuItem value="left">left</MenuItem>
        </TextField>
        <Button variant={found ? "outlined" : "contained"} disabled={work.job !== null || anyWrong} onClick={propose}>{found ? "Propose anew" : "Propose"}</Button>
        {found && <Button variant="contained" onClick={keep}>Keep it</Button>}
        {found && <Button color="inherit" onClick={forget}>Drop it</Button>}
        {work.job && <Button color="inherit" onClick={work.cancel}>Stop</Button>}
      </Stack>
      {work.job ? (
        <Stack direction="row" spacing={1.5} sx={{ alignItems: "center", mt: 1 }}>
          <LinearProgress aria-label="Proposing quads" variant="determinate" value={Math.round(100 * work.job.progress)} sx={{ width: 160 }} />
          <Typography variant="body2" role="status">{work.job.words}</Typography>
        </Stack>
      ) : (
        <Told proposed={found?.proposed ?? null} />
      )}
    </>
  );
}

function Told({ proposed }: { proposed: Proposed | null }) {
  const unit = useUnit();
  if (!proposed)
    return (
      <Typography variant="body2" color="text.secondary" sx={{ mt: 0.75 }}>
        Lays quads along the bends of a scan and along its sharp lines, and settles the smooth surface on it. What is shown can be kept, and traced on by hand.
      </Typography>
    );
  const { quads, creased, irregular, after, places, bare } = proposed;
  return (
    <Typography variant="body2" role="status" data-testid="proposed" sx={{ mt: 0.75 }}>
      {quads} quads, {irregular} vertices with not four edges{creased ? `, ${creased} edges hard along its sharp lines` : ""}; {fineLengthWords(after[0], unit)} root mean square from {places.toLocaleString("en")} places of the scan, {fineLengthWords(after[1], unit)} at most.
      {bare ? ` ${bare === 1 ? "1 face has" : `${bare} faces have`} nothing of it on ${bare === 1 ? "it" : "them"}.` : ""}
    </Typography>
  );
}

function Empty({ tool }: CardProps) {
  return (
    <Stack direction="row" spacing={1.25} sx={{ alignItems: "center" }}>
      <CardHead drawing={tool.icon}>{tool.name}</CardHead>
      <Typography variant="body2" role="status">There is no component to lay quads on: bring a scan in first.</Typography>
    </Stack>
  );
}
