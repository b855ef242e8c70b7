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
import { download, service } from "../../live/service";
import { useDesign, usePiece } from "../../live/stores/design";
import { usePicking } from "../../live/stores/picking";
import { show } from "../../live/stores/show";
import { view } from "../../live/stores/view";
import { parameters } from "../../model/parameters.generated";
import type { CardProps } from "../../model/tool";
import type { Command, PictureAsk, TruePicture } from "../../model/types";
import { plus, times } from "../../model/vec";
import { CardHead } from "../parts/CardHead";
import { useJob } from "../parts/useJob";

const lights = { tent: "Light tent", window: "North window", dusk: "Dusk by the water", even: "Even, from all around" } as const;
const sizes = { "640 × 480": [640, 480], "960 × 720": [960, 720], "1600 × 1200": [1600, 1200], "3840 × 2160": [3840, 2160] } as const;
const sizeWords = { "640 × 480": "640 × 480", "960 × 720": "960 × 720", "1600 × 1200": "1600 × 1200", "3840 × 2160": "3840 × 2160" } as const;
const fines = { "16": "quick", "64": "fine", "256": "very fine" } as const;
const backgrounds = { floor: "on a floor", clear: "on nothing" } as const;
const turns = [0, 45, 90, 135, 180, 225, 270, 315];
type Finish = Extract<Command, { kind: "finish-piece" }>["finish"];

/** Where the main view is seen from. In a flat one the camera stands well in front of all. */
function cameraNow(): PictureAsk["camera"] {
  const { frame, eye, target, tall, field } = view;
  return { eye: eye ?? plus(target, times(frame[2], 20 * tall)), back: frame[2], up: frame[1], field, tall };
}

function Choice<W extends string>(props: { label: string; value: W; words: Readonly<Record<W, string>>; wide?: number; onChange(value: W): void }) {
  return (
    <TextField select label={props.label} value={props.value} onChange={(event) => props.onChange(event.target.value as W)} sx={{ minWidth: props.wide ?? 100 }}>
      {(Object.entries(props.words) as [W, string][]).map(([one, words]) => <MenuItem key={one} value={one}>{words}</MenuItem>)}
    </TextField>
  );
}

export default function TruePictureCard({ tool }: CardProps) {
  const id = useDesign((s) => s.design?.id);
  const name = useDesign((s) => s.design?.name ?? "");
  const [light, setLight] = useState<keyof typeof lights>("tent");
  const [turned, setTurned] = useState(0);
  const [size, setSize] = useState<keyof typeof sizes>("960 × 720");
  const [fine, setFine] = useState<"16" | "64" | "256">("64");
  const [background, setBackground] = useState<keyof typeof backgrounds>("floor");
  const [key, setKey] = useState<string | null>(null);
  const client = useQueryClient();
  const work = useJob(() => client.invalidateQueries({ queryKey: ["pictures", id] }), undefined);
  const { data: kept = [] } = useQuery({ queryKey: ["pictures", id], queryFn: () => (id ? service.picturesOf(id) : []), enabled: id !== undefined });
  if (!id) return null;
  const take = () =>
    void attempt(async () => {
      const [width, height] = sizes[size];
      const begun = await service.beginPicture(id, { camera: cameraNow(), width, height, samples: +fine, light, turned, background });
      setKey(begun.key);
      work.begin(begun.job.id);
    });
  const done = Math.round(100 * (work.job?.progress ?? 0));
  return (
    <>
      <Stack direction="row" spacing={1.25} useFlexGap sx={{ alignItems: "center", flexWrap: "wrap", rowGap: 1 }}>
        <CardHead drawing={tool.icon}>True picture</CardHead>
        <FinishChoice />
        <Choice label="Light" value={light} words={lights} wide={130} onChange={(v) => setLight(v)} />
        <Choice label="Turned by" value={String(turned)} words={Object.fromEntries(turns.map((t) => [String(t), `${t}°`]))} wide={80} onChange={(t) => setTurned(+t)} />
        <Choice label="Pixels" value={size} words={sizeWords} onChange={(v) => setSize(v)} />
        <Choice label="How fine" value={fine} words={fines} wide={84} onChange={(v) => setFine(v)} />
        <Choice label="Stands" value={background} words={backgrounds} onChange={(v) => setBackground(v)} />
        <Button variant="contained" disabled={work.job !== null} onClick={take}>Take the picture</Button>
        {work.job && (
          <>
            <Button variant="outlined" disabled={done < 4} onClick={() => key && void attempt(() => service.enoughOf(key))}>Fine enough</Button>
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
        <Kept list={kept} name={name} />
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

function Kept({ list, name }: { list: TruePicture[]; name: string }) {
  return (
    <Stack direction="row" spacing={1} component="ul" aria-label="Pictures that are kept" sx={{ mt: 1, mb: 0, pl: 0, listStyle: "none", overflowX: "auto", maxWidth: "100%" }}>
      {list.map((one) => {
        const words = `Revision ${one.revision}, ${one.made.replace("T", " ")}, ${lights[one.light as keyof typeof lights] ?? one.light}, ${one.samples} samples`;
        return (
          <Box component="li" key={one.key} sx={{ flexShrink: 0 }}>
            <Box
              component="button" type="button" title={`${words}. Save it`} aria-label={`Save picture: ${words}`}
              onClick={() => void attempt(() => download(service.pictureAddress(one.key), `${name}, revision ${one.revision}.png`))}
              sx={{ p: 0, border: 1, borderColor: "divider", borderRadius: 1, overflow: "hidden", cursor: "pointer", display: "block", bgcolor: "background.default" }}
            >
              <Box component="img" alt="" src={service.pictureAddress(one.key)} sx={{ height: 96, display: "block" }} />
            </Box>
            <Typography variant="caption" color="text.secondary">Revision {one.revision}, {one.made.slice(11, 16)}</Typography>
          </Box>
        );
      })}
    </Stack>
  );
}
