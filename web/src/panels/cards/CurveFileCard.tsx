/** Curves as a file, to be cut, engraved or carried on elsewhere. */
import Button from "@mui/material/Button";
import Stack from "@mui/material/Stack";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { attempt } from "../../live/picks";
import { download, service } from "../../live/service";
import { useDesign } from "../../live/stores/design";
import { usePicking } from "../../live/stores/picking";
import type { CardProps } from "../../model/tool";
import { CardHead } from "../parts/CardHead";

const kinds = [
  { kind: "svg", view: "top", words: "SVG from the top" },
  { kind: "svg", view: "front", words: "SVG from the front" },
  { kind: "svg", view: "right", words: "SVG from the right" },
  { kind: "dxf", view: "top", words: "DXF" },
  { kind: "step", view: "top", words: "STEP" },
];

export default function CurveFileCard({ tool }: CardProps) {
  const design = useDesign((s) => s.design);
  const inHand = usePicking((s) => s.piece);
  const [busy, setBusy] = useState(false);
  const piece = design?.pieces.find((p) => p.id === inHand && p.curve);
  const some = design?.pieces.some((p) => p.curve && p.visible) ?? false;
  const what = piece ? piece.name : "all curves that are shown";
  const save = async (kind: string, view: string) => {
    if (!design) return;
    setBusy(true);
    await attempt(() => download(service.curvesAddress(design.id, kind, view, piece?.id ?? null), `${piece?.name ?? design.name}.${kind}`));
    setBusy(false);
  };
  return (
    <>
      <Stack direction="row" spacing={1.25} useFlexGap sx={{ alignItems: "center", flexWrap: "wrap" }}>
        <CardHead drawing={tool.icon}>{piece ? `Curve ${piece.name}` : tool.name}</CardHead>
        {kinds.map(({ kind, view, words }) => (
          <Button key={words} variant="outlined" disabled={busy || !(piece ?? some)} aria-label={`Download ${words}`} onClick={() => void save(kind, view)}>{words}</Button>
        ))}
      </Stack>
      <Typography variant="body2" color="text.secondary" sx={{ mt: 0.75 }}>
        {piece ?? some ? `Of ${what}, full size in millimetres; SVG flat, DXF and STEP in space.` : "There is no curve here yet: put one down in Rough."}
      </Typography>
    </>
  );
}
