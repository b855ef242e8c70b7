/** Of the piece in hand: how it grows from others, and how true; or what grows from it. */
import Box from "@mui/material/Box";
import ListItemButton from "@mui/material/ListItemButton";
import Typography from "@mui/material/Typography";
import { useMemo } from "react";
import { useDesign } from "../../live/stores/design";
import { useFollowers } from "../../live/stores/followers";
import { usePicking } from "../../live/stores/picking";
import { tools } from "../../live/stores/session";
import { pick } from "../../live/picks";
import { editGrowth } from "../../live/tooling";
import { sourcesOf } from "../../model/growths";
import type { AnyGrowth, PieceState } from "../../model/types";
import { DrawingIcon, GrowsIcon } from "../../theme/icons";
import { ShowWhere } from "../parts/ShowWhere";

/** What is told here of a piece; in most frames of a drag it is the same as before, and nothing is drawn. */
interface Told {
  piece: Pick<PieceState, "id" | "name" | "grown" | "pulled" | "said" | "suspect">;
  /** The names of those that it grows from. */
  names: string;
  offspring: { id: string; name: string }[];
}

function toldOf(pieces: PieceState[], current: string | null): Told | null {
  const piece = pieces.find((p) => p.id === current);
  if (!piece) return null;
  const { id, name, grown, pulled, said, suspect } = piece;
  const offspring = pieces.filter((p) => p.grown && sourcesOf(p.grown).includes(id)).map((p) => ({ id: p.id, name: p.name }));
  if (!grown && !offspring.length) return null;
  const names = (grown ? sourcesOf(grown) : []).map((one) => pieces.find((p) => p.id === one)?.name ?? "what is gone").join(", ");
  return { piece: { id, name, grown, pulled, said, suspect }, names, offspring };
}

export function Growth() {
  const current = usePicking((s) => s.piece);
  const text = useDesign((s) => JSON.stringify(toldOf((s.preview ?? s.design)?.pieces ?? [], current)));
  const told = useMemo(() => JSON.parse(text) as Told | null, [text]);
  if (!told) return null;
  const { piece, names, offspring } = told;
  return (
    <Box component="section" aria-label="Growth" sx={{ borderBottom: 1, borderColor: "divider", maxHeight: "34%", overflow: "auto", flexShrink: 0, pb: 0.5 }}>
      <Typography component="h2" variant="h3" sx={{ px: 1.5, pt: 1 }}>{piece.grown ? `How ${piece.name} grows` : `From ${piece.name} grow`}</Typography>
      {piece.grown && <Own piece={piece} grown={piece.grown} names={names} />}
      {offspring.map((p) => (
        <ListItemButton key={p.id} dense onClick={() => pick(p.id, [])} sx={{ py: 0.2, px: 1.5, gap: 0.75 }}>
          <GrowsIcon sx={{ fontSize: 16 }} />
          <Typography variant="body2" noWrap>{p.name}</Typography>
        </ListItemButton>
      ))}
    </Box>
  );
}

function Own({ piece, grown, names }: { piece: Told["piece"]; grown: AnyGrowth; names: string }) {
  const editing = useFollowers((s) => s.regrowing === piece.id);
  const tool = tools().forGrowth(grown);
  const words = `${tool?.name ?? "Mirror image"} from ${names}`;
  return (
    <>
      <ListItemButton dense disabled={!tool} selected={editing} aria-label={`Change how ${piece.name} grows`} onClick={() => editGrowth(piece.id, grown)} sx={{ py: 0.2, px: 1.5, gap: 0.75 }}>
        {tool && <DrawingIcon drawing={tool.icon} sx={{ fontSize: 18 }} />}
        <Typography variant="body2" noWrap title={words}>{words}</Typography>
      </ListItemButton>
      {piece.pulled > 0 && (
        <Typography variant="body2" color="text.secondary" sx={{ px: 1.5 }}>
          {piece.pulled} {piece.pulled === 1 ? "point" : "points"} pulled by hand on top
        </Typography>
      )}
      {piece.said.map((sentence) => (
        <Typography key={sentence} variant="body2" role="status" sx={{ px: 1.5, color: piece.suspect.length ? "error.main" : "#8A5A00" }}>
          {sentence} {piece.suspect.length > 0 && <ShowWhere piece={piece.id} place={{ faces: piece.suspect }} />}
        </Typography>
      ))}
    </>
  );
}
