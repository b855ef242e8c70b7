/** The line along the bottom: what is selected, counts, size, and what the next click does. */
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { pieces, shownPicks, useBench } from "../live/bench";
import { toolById } from "../tools/all";
import { useLook } from "../live/look";
import { useNear } from "../live/near";
import type { Near } from "../live/types";
import { lengthsWords, lengthWords } from "../live/units";
import { figure, verticesOf } from "../viewport/measure";
import { ShowWhere } from "./ShowWhere";

const plural = { vertex: "vertices", edge: "edges", face: "faces", piece: "pieces" } as const;

export function FactStrip() {
  const { design, piece, picked, others, pickKind, hover, preview, toolId } = useBench();
  const paints = toolById(toolId)?.paints !== undefined;
  const near = useNear((s) => s.list);
  const { compare } = useLook();
  const unit = design?.unit ?? "mm";
  const shown = (preview?.pieces ?? design?.pieces ?? []).find((p) => p.id === piece) ?? design?.pieces[0];
  const arrays = piece ? pieces.byId.get(piece) : undefined;
  const now = shownPicks();
  const count = pickKind === "piece" ? others.length + Math.min(picked.length, 1) : now.ids.length;
  const chosen = count
    ? `${count} ${count === 1 ? now.kind : plural[now.kind]} picked, ${arrays ? figure(arrays.cage, now.kind, now.ids, unit) : ""}`
    : `No ${plural[pickKind]} picked`;
  const counts = shown
    ? `${shown.name}: ${shown.face_count} faces, ${shown.edge_count} edges, ${shown.vertex_count} vertices; cage ${lengthsWords(shown.size, unit)}${shown.open_edge_count ? `; ${shown.open_edge_count} open edges` : ""}${shown.symmetry ? `; ${shown.symmetry.words}` : ""}`
    : "No pieces yet";
  // What would read as the clearance itself, or as 0, is no news.
  const short = near.filter((n) => n.distance < n.asked && lengthWords(n.distance, unit) !== lengthWords(n.asked, unit));
  const name = (id: string) => design?.references.find((r) => r.id === id)?.name ?? "";
  const own = nearestOfPicked(near, piece, arrays ? verticesOf(arrays.cage, now.kind, now.ids) : []);
  const hint = compare
    ? "Comparing; Esc ends it"
    : preview
      ? "Enter applies, Esc backs out"
      : paints
        ? "Drag along edges to paint; right drag turns the view"
        : hover
          ? `Click takes ${hover.kind} ${hover.kind === "piece" ? (design?.pieces.find((p) => p.id === hover.piece)?.name ?? "") : hover.id}${picked.length ? "; Shift adds or takes away" : ""}`
          : "Drag a box to pick many; right drag turns the view";
  return (
    <Box
      component="footer"
      aria-label="Facts"
      sx={{ display: "flex", gap: 3, alignItems: "center", height: 30, px: 2, bgcolor: "background.paper", borderTop: 1, borderColor: "divider", whiteSpace: "nowrap", overflow: "hidden" }}
    >
      <Typography variant="body2" data-testid="chosen" sx={{ fontWeight: 600 }}>{chosen}</Typography>
      <Typography variant="body2" color="text.secondary" data-testid="counts">{counts}</Typography>
      {own && (
        <Typography variant="body2" data-testid="near">{lengthWords(own.distance, unit)} to {name(own.reference)}</Typography>
      )}
      {short.length > 0 && (
        <Typography variant="body2" role="alert" data-testid="short" sx={{ color: "error.main", fontWeight: 600 }}>
          {short[0].distance < 0 && lengthWords(-short[0].distance, unit) !== lengthWords(0, unit)
            ? `The surface cuts into ${name(short[0].reference)} by ${lengthWords(-short[0].distance, unit)}`
            : `The surface comes within ${lengthWords(short[0].distance, unit)} of ${name(short[0].reference)}; ${lengthWords(short[0].asked, unit)} are asked for`}
          <ShowWhere piece={short[0].piece} place={{ points: [short[0].from] }} />
        </Typography>
      )}
      {(!short.length || preview) && (
        <Typography variant="body2" color="text.secondary" sx={{ ml: "auto" }}>{hint}</Typography>
      )}
    </Box>
  );
}

/** Of the picked vertices of the cage, the one nearest to any component. */
function nearestOfPicked(near: Near[], piece: string | null, vertices: number[]): { reference: string; distance: number } | null {
  let best: { reference: string; distance: number } | null = null;
  for (const n of near)
    if (n.piece === piece)
      for (const v of vertices)
        if (v < n.vertices.length && (!best || n.vertices[v] < best.distance)) best = { reference: n.reference, distance: n.vertices[v] };
  return best;
}
