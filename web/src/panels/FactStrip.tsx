/** The line along the bottom: what is selected, counts, size, and what the next click does. */
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { pieces, useBench } from "../live/bench";
import { figure } from "../viewport/measure";

const plural = { vertex: "vertices", edge: "edges", face: "faces" } as const;

export function FactStrip() {
  const { design, piece, picked, pickKind, hover, preview } = useBench();
  const shown = (preview?.pieces ?? design?.pieces ?? []).find((p) => p.id === piece) ?? design?.pieces[0];
  const arrays = piece ? pieces.byId.get(piece) : undefined;
  const chosen = picked.length
    ? `${picked.length} ${picked.length === 1 ? pickKind : plural[pickKind]} picked, ${arrays ? figure(arrays.cage, pickKind, picked) : ""}`
    : `No ${plural[pickKind]} picked`;
  const counts = shown
    ? `${shown.name}: ${shown.face_count} faces, ${shown.edge_count} edges, ${shown.vertex_count} vertices; cage ${shown.size
        .map((s) => s.toFixed(1))
        .join(" × ")} mm${shown.open_edge_count ? `; ${shown.open_edge_count} open edges` : ""}`
    : "No pieces yet";
  const hint = preview
    ? "Enter applies, Esc backs out"
    : hover
      ? `Click takes ${hover.kind} ${hover.id}${picked.length ? "; Shift adds or takes away" : ""}`
      : "Drag a box to pick many; right drag turns the view";
  return (
    <Box
      component="footer"
      aria-label="Facts"
      sx={{ display: "flex", gap: 3, alignItems: "center", height: 30, px: 2, bgcolor: "background.paper", borderTop: 1, borderColor: "divider", whiteSpace: "nowrap", overflow: "hidden" }}
    >
      <Typography variant="body2" data-testid="chosen" sx={{ fontWeight: 600 }}>{chosen}</Typography>
      <Typography variant="body2" color="text.secondary" data-testid="counts">{counts}</Typography>
      <Typography variant="body2" color="text.secondary" sx={{ ml: "auto" }}>{hint}</Typography>
    </Box>
  );
}
