/** Stamps of the design's own: from a picture, from a piece; and the relief of a piece as a picture. */
import Button from "@mui/material/Button";
import Chip from "@mui/material/Chip";
import MenuItem from "@mui/material/MenuItem";
import Stack from "@mui/material/Stack";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { useShallow } from "zustand/react/shallow";
import { give } from "../../live/line";
import { attempt } from "../../live/picks";
import { download, service } from "../../live/service";
import { useDesign, useUnit } from "../../live/stores/design";
import { usePicking } from "../../live/stores/picking";
import type { CardProps } from "../../model/tool";
import type { Command } from "../../model/types";
import { lengthWords, type Unit } from "../../model/units";
import { FileCard } from "../parts/FileCard";

type Side = Extract<Command, { kind: "stamp-from-piece" }>["side"];
const sides: Record<NonNullable<Side>, string> = { top: "the top", front: "the front", right: "the right", left: "the left", back: "the back", bottom: "below" };

export default function StampsCard({ tool }: CardProps) {
  const [tiles, setTiles] = useState("no");
  return (
    <>
      <FileCard
        tool={tool}
        hint="A PNG file, grey of 8 or 16 bits: white is high. It is then among the stamps of Draw out, Inflate and Cover faces."
        send={(design, revision, file) => service.addStamp(design, revision, file, tiles === "yes")}
        after={() => undefined}
      >
        <TextField select label="Its edges" value={tiles} onChange={(event) => setTiles(event.target.value)} sx={{ minWidth: 130 }}>
          <MenuItem value="no">end there</MenuItem>
          <MenuItem value="yes">fit together</MenuItem>
        </TextField>
      </FileCard>
      <OfThePiece />
      <OwnStamps />
    </>
  );
}

function OfThePiece() {
  const id = usePicking((s) => s.piece);
  const design = useDesign((s) => s.design);
  const piece = design?.pieces.find((one) => one.id === id && !one.curve);
  const [side, setSide] = useState<NonNullable<Side>>("top");
  const write = () =>
    attempt(async () => {
      if (design && piece) await download(service.heightMapAddress(design.id, piece.id, side), `${piece.name}, relief.png`);
    });
  return (
    <Stack direction="row" spacing={1} useFlexGap sx={{ alignItems: "center", flexWrap: "wrap", mt: 1 }}>
      <TextField select label="Seen from" value={side} onChange={(event) => setSide(event.target.value as NonNullable<Side>)} sx={{ minWidth: 120 }}>
        {Object.entries(sides).map(([value, words]) => <MenuItem key={value} value={value}>{words}</MenuItem>)}
      </TextField>
      <Button variant="outlined" disabled={!piece} onClick={() => piece && void give({ kind: "stamp-from-piece", piece: piece.id, side })}>
        {piece ? `Stamp of ${piece.name}` : "Stamp of a piece"}
      </Button>
      <Button variant="outlined" disabled={!piece?.relief} onClick={() => void write()}>
        Relief as a height map
      </Button>
    </Stack>
  );
}

function OwnStamps() {
  const own = useDesign(useShallow((s) => s.design?.stamps ?? []));
  const unit = useUnit();
  if (!own.length) return null;
  return (
    <Stack direction="row" spacing={0.75} useFlexGap aria-label="Stamps of this design" role="group" sx={{ alignItems: "center", flexWrap: "wrap", mt: 1 }}>
      <Typography variant="body2">Own:</Typography>
      {own.map((stamp) => (
        <Chip
          key={stamp.id}
          size="small"
          label={`${stamp.name}, ${sizeWords(stamp, unit)}`}
          onDelete={() => void give({ kind: "forget-stamp", stamp: stamp.id })}
          slotProps={{ root: { "aria-label": `${stamp.name}; Delete takes it away` } }}
        />
      ))}
    </Stack>
  );
}

const sizeWords = ({ width, height, pixels }: { width: number; height: number; pixels: [number, number] }, unit: Unit) =>
  height ? `${lengthWords(width, unit)} wide, ${lengthWords(height, unit)} high` : `${pixels[0]} × ${pixels[1]} pixels`;
