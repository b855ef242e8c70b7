/** A true picture: what the piece in hand is of, the light, how large and how fine; seen as it gets finer, and those that are kept. */
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import LinearProgress from "@mui/material/LinearProgress";
import MenuItem from "@mui/material/MenuItem";
import Stack from "@mui/material/Stack";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { give } from "../../live/line";
import { attempt } from "../../live/picks";
import { service } from "../../live/service";
import { useDesign, usePiece } from "../../live/stores/design";
import { usePicking } from "../../live/stores/picking";
import { show, useShow } from "../../live/stores/show";
import { view } from "../../live/stores/view";
import { parameters } from "../../model/parameters.generated";
import type { CardProps } from "../../model/tool";
import { aparts, backgrounds, besideOf, besides, fines, lenses, lights, sizes, sizeWords, turns, views } from "../../model/pictures";
import type { Command, PictureAsk, TruePicture } from "../../model/types";
import { apart, plus, times } from "../../model/vec";
import { CardHead } from "../parts/CardHead";
import { KeptPictures } from "../parts/KeptPictures";
import { useJob } from "../parts/useJob";

type Finish = Extract<Command, { kind: "finish-piece" }>["finish"];

/** Where the main view is seen from. In a flat one the camera stands well in front of all. */
function cameraNow(lens: number): PictureAsk["camera"] {
  const { frame, eye, target, tall, field } = view;
  const from = eye ?? plus(target, times(frame[2], 20 * tall));
  const focus = apart(from, target);
  return { eye: from, back: frame[2], up: frame[1], field, tall, aperture: field === null ? 0 : lens * focus, focus };
}

function Choice<W extends string>(props: { label: string; value: W; words: Readonly<Record<W, string>>; wide?: number; onChange(value: W): void }) {
  return (
    <TextField select label={props.label} value={props.value} onChange={(event) => props.onChange(event.target.value as W)} sx={{ minWidth: props.wide ?? 100 }}>
      {(Object.entries(props.words) as [W, string][]).map(([one, words]) => <MenuItem key={one} value={one}>{words}</MenuItem>)}
    </TextField>
  );
}

export default function TruePictureCard({ tool }: CardProps) {
  const design = useDesign((s) => s.design);
  const id = design?.id;
  const [light, setLight] = useState<keyof typeof lights>(() => useShow.getState().light.around);
  const [turned, setTurned] = useState(0);
  const [size, setSize] = useState<keyof typeof sizes>("960 × 720");
  const [fine, setFine] = useState<"16" | "64" | "256">("64");
  const [background, setBackground] = useState<keyof typeof backgrounds>("floor");
  const [more, setMore] = useState(false);
  const [lens, setLens] = useState<keyof typeof lenses>("0");
  const [drawnApart, setDrawnApart] = useState<keyof typeof aparts>("0");
  const [around, setAround] = useState<keyof typeof views>("1");
  const [beside, setBeside] = useState("nothing");
  const [fire, setFire] = useState<"no" | "yes">("no");
  const [grain, setGrain] = useState<"smoothed" | "kept">("smoothed");
  const [resting, setResting] = useState(false);
  const section = useShow((s) => s.section);
  const [cut, setCut] = useState<"yes" | "no">("yes");
  const compare = useShow((s) => s.compare);
  const compared: [string, string] | null = compare && [compare.a, compare.b];
  const [key, setKey] = useState<string | null>(null);
  const client = useQueryClient();
  const work = useJob(() => client.invalidateQueries({ queryKey: ["pictures", id] }), undefined);
  const { data: kept = [] } = useQuery({ queryKey: ["pictures", id], queryFn: () => (id ? service.picturesOf(id) : []), enabled: id !== undefined });
  if (!design || !id) return null;
  const { name } = design;
  const offered = besides(design, compared);
  // One that is not offered any more, as after an undo, is not meant.
  const standsBeside = beside in offered ? beside : "nothing";
  const take = () =>
    void attempt(async () => {
      const [width, height] = sizes[size];
      const begun = await service.beginPicture(id, {
        camera: cameraNow(+lens), width, height, samples: +fine, light, turned, background, exposure: useShow.getState().light.stops, fire: fire === "yes", smooth: grain === "smoothed",
        cut: section && cut === "yes" ? section : null, apart: +drawnApart, turns: +around, beside: besideOf(standsBeside, compared),
      });
      setKey(begun.key);
      setResting(false);
      work.begin(begun.job.id);
    });
  const remove = (one: TruePicture) =>
    void attempt(() => service.removePicture(id, one.key)).then(() => client.invalidateQueries({ queryKey: ["pictures", id] }));
  const done = Math.round(100 * (work.job?.progress ?? 0));
  return (
    <>
      <Stack direction="row" spacing={1.25} useFlexGap sx={{ alignItems: "center", flexWrap: "wrap", rowGap: 1 }}>
        <CardHead drawing={tool.icon}>True picture</CardHead>
        <FinishChoice />
        <Choice label="Light" value={light} words={lights} wide={130} onChange={(v) => setLight(v)} />
        <Choice label="Turned by" value={String(turned)} words={turns} wide={80} onChange={(t) => setTurned(+t)} />
        <Choice label="Pixels" value={size} words={sizeWords} onChange={(v) => setSize(v)} />
        <Choice label="How fine" value={fine} words={fines} wide={84} onChange={(v) => setFine(v)} />
        <Choice label="Stands" value={background} words={backgrounds} onChange={(v) => setBackground(v)} />
        {section && <Choice label="Section" value={cut} words={{ yes: "cut open", no: "whole" }} onChange={(v) => setCut(v)} />}
        {more && (
          <>
            <Choice label="Sharp" value={lens} words={lenses} wide={130} onChange={(v) => setLens(v)} />
            <Choice label="Pieces" value={drawnApart} words={aparts} wide={110} onChange={(v) => setDrawnApart(v)} />
            <Choice label="Views" value={around} words={views} onChange={(v) => setAround(v)} />
            <Choice label="Stones" value={fire} words={{ no: "clear", yes: "with fire, slower" }} wide={130} onChange={(v) => setFire(v)} />
            <Choice label="Grain" value={grain} words={{ smoothed: "smoothed at the end", kept: "as traced" }} wide={140} onChange={(v) => setGrain(v)} />
            <Choice label="Beside it" value={standsBeside} words={offered} wide={130} onChange={setBeside} />
          </>
        )}
        <Button color="inherit" aria-expanded={more} onClick={() => setMore(!more)}>{more ? "Less" : "More"}</Button>
        <Button variant="contained" disabled={work.job !== null} onClick={take}>Take the picture</Button>
        {work.job && (
          <>
            <Button variant="outlined" disabled={done < 4} onClick={() => key && void attempt(() => service.enoughOf(key))}>Fine enough</Button>
            <Button color="inherit" aria-pressed={resting} onClick={() => key && void attempt(() => service.restOf(key, !resting)).then(() => setResting(!resting))}>{resting ? "Go on" : "Pause"}</Button>
            <Button color="inherit" onClick={work.cancel}>Stop</Button>
          </>
        )}
      </Stack>
      {work.job ? (
        <Stack direction="row" spacing={1.5} sx={{ alignItems: "center", mt: 1 }}>
          {key && work.job.words.includes("samples") && <Box component="img" alt="The picture so far" src={service.pictureAddress(key, done)} sx={{ height: 110, borderRadius: 1 }} />}
          <LinearProgress aria-label="Taking the picture" variant="determinate" value={done} sx={{ width: 160 }} />
          <Typography variant="body2" role="status">{work.job.words}</Typography>
        </Stack>
      ) : kept.length ? (
        <KeptPictures list={kept} name={name} onRemove={remove} />
      ) : (
        <Typography variant="body2" color="text.secondary" sx={{ mt: 0.75 }}>
          As light would show it, from where you look now: rays are followed through stones and off metals. It goes on in the background.
        </Typography>
      )}
    </>
  );
}

/** What the piece in hand is of in pictures; a step of the design. */
function FinishChoice() {
  const piece = usePiece(usePicking((s) => s.piece));
  const words = Object.fromEntries(parameters["finish-piece"].finish.words) as Record<Finish, string>;
  if (!piece || piece.curve || piece.grown?.kind === "stones") return null;
  const choose = (finish: Finish) => {
    // Shown at once, as it would be in a light tent.
    show({ material: "finish" });
    void give({ kind: "finish-piece", piece: piece.id, finish });
  };
  return <Choice label={`${piece.name} is of`} value={piece.finish as Finish} words={words} wide={150} onChange={choose} />;
}
