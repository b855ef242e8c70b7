/** The control cage as a file, to carry on elsewhere. */
import Button from "@mui/material/Button";
import Stack from "@mui/material/Stack";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { attempt } from "../../live/picks";
import { useDesign } from "../../live/stores/design";
import { usePicking } from "../../live/stores/picking";
import { download, service } from "../../live/service";
import type { CardProps } from "../../model/tool";
import { CardHead } from "../parts/CardHead";

const kinds = [
  { kind: "usdc", words: "USD" },
  { kind: "usda", words: "USD as text" },
  { kind: "ply", words: "PLY" },
  { kind: "obj", words: "OBJ" },
];

export default function CageFileCard({ tool }: CardProps) {
  const design = useDesign((s) => s.design);
  const piece = usePicking((s) => s.piece);
  const [busy, setBusy] = useState(false);
  const named = design?.pieces.find((p) => p.id === piece);
  const save = async (kind: string) => {
    if (!design || !named) return;
    setBusy(true);
    await attempt(() => download(service.cageAddress(design.id, named.id, kind), `${named.name}.${kind}`));
    setBusy(false);
  };
  const saveOutline = async (view: string) => {
    if (!design || !named) return;
    setBusy(true);
    await attempt(() => download(service.outlineAddress(design.id, named.id, view), `${named.name}, ${view}.svg`));
    setBusy(false);
  };
  return (
    <>
      <Stack direction="row" spacing={1.25} useFlexGap sx={{ alignItems: "center", flexWrap: "wrap" }}>
        <CardHead drawing={tool.icon}>{named ? `Cage of ${named.name}` : "Cage file"}</CardHead>
        {kinds.map(({ kind, words }) => (
          <Button key={kind} variant="outlined" disabled={!named || busy} aria-label={`Download the cage as ${words}`} onClick={() => void save(kind)}>
            {words}
          </Button>
        ))}
      </Stack>
      <Stack direction="row" spacing={1.25} sx={{ alignItems: "center", mt: 0.75 }}>
        <Typography variant="body2">Outline of the body as SVG, full size:</Typography>
        {["front", "right", "top"].map((view) => (
          <Button key={view} size="small" variant="outlined" disabled={!named || busy} aria-label={`Download the outline from the ${view}`} onClick={() => void saveOutline(view)}>
            {view}
          </Button>
        ))}
      </Stack>
      <Typography variant="body2" color="text.secondary" sx={{ mt: 0.75 }}>
        {named
          ? "USD and PLY hold creases, corners and face sets; OBJ the polygons only. In millimetres."
          : "Take a piece in hand first: pick one, or click its name."}
      </Typography>
    </>
  );
}
