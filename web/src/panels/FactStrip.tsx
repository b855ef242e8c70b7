/** The line along the bottom: what is selected, counts, size, and what the next click does. */
import Box from "@mui/material/Box";
import Typography from "@mui/material/Typography";
import { useShallow } from "zustand/react/shallow";
import { picksShown } from "../live/context";
import { pieces } from "../live/pieces";
import { useDesign, useUnit } from "../live/stores/design";
import { useBores } from "../live/stores/bores";
import { useGaps } from "../live/stores/gaps";
import { useProofs } from "../live/stores/proofs";
import { useStones } from "../live/stores/stones";
import { useNear } from "../live/stores/near";
import { plural, useHidden, useHover, usePicking } from "../live/stores/picking";
import { useAnyMistake } from "../live/stores/wrong";
import { useTool } from "../live/stores/session";
import { useShow } from "../live/stores/show";
import { figure, verticesOf } from "../model/measure";
import type { CurveFacts, Near, PieceState, ShownGap, ShownStones } from "../model/types";
import { lengthsWords, lengthWords, trimmed, type Unit } from "../model/units";
import { ShowWhere } from "./parts/ShowWhere";
import { heldWords } from "./side/Proofs";

export function FactStrip() {
  return (
    <Box
      component="footer"
      aria-label="Facts"
      sx={{ display: "flex", gap: 3, alignItems: "center", height: 30, px: 2, bgcolor: "background.paper", borderTop: 1, borderColor: "divider", whiteSpace: "nowrap", overflow: "hidden" }}
    >
      <Chosen />
      <OutOfSight />
      <Counts />
      <Held />
      <Bore />
      <Stones />
      <Gaps />
      <Clearances />
    </Box>
  );
}

function Chosen() {
  const [pickKind, picked, others, piece] = usePicking(useShallow((s) => [s.pickKind, s.picked, s.others, s.piece] as const));
  useDesign(useShallow((s) => [s.preview, s.design]));
  const unit = useUnit();
  const cage = piece ? pieces.byId.get(piece)?.cage : undefined;
  const now = picksShown();
  const count = pickKind === "piece" ? others.length + Math.min(picked.length, 1) : now.ids.length;
  const words = count
    ? [`${count} ${count === 1 ? now.kind : plural[now.kind]} picked`, cage ? figure(cage, now.kind, now.ids, unit) : ""].filter(Boolean).join(", ")
    : `No ${plural[pickKind]} picked`;
  return <Typography variant="body2" data-testid="chosen" role="status" sx={{ flexShrink: 0, fontWeight: 600 }}>{words}</Typography>;
}

function OutOfSight() {
  const hidden = useHidden((s) => s.hidden);
  const picked = usePicking((s) => s.picked.length);
  if (!hidden || !picked) return null;
  return <Typography variant="body2" data-testid="hidden">{hidden === picked ? "out of sight" : `${hidden} of them out of sight`}</Typography>;
}

function countsOf(shown: PieceState | undefined, unit: Unit): string {
  if (!shown) return "No pieces yet";
  if (shown.grown?.kind === "stones") return `${shown.name}`;
  if (shown.images) return `${shown.name}: ${shown.images} images; ${lengthsWords(shown.size, unit)}`;
  if (shown.curve) return curveWords(shown, shown.curve, unit);
  const open = shown.open_edge_count ? `; ${shown.open_edge_count} open edges` : "";
  const symmetry = shown.symmetry ? `; ${shown.symmetry.words}` : "";
  return `${shown.name}: ${shown.face_count} faces, ${shown.edge_count} edges, ${shown.vertex_count} vertices; cage ${lengthsWords(shown.size, unit)}${open}${symmetry}`;
}

function curveWords({ name, vertex_count }: PieceState, curve: CurveFacts, unit: Unit): string {
  const kind = `${curve.closed ? "closed" : "open"} curve of ${vertex_count} points, degree ${curve.degree}`;
  const bend = curve.least_radius === null ? "straight" : `radius ${lengthWords(curve.least_radius, unit)} where it is tightest`;
  const crosses = curve.crosses.length ? `; crosses itself at ${curve.crosses.length} ${curve.crosses.length === 1 ? "place" : "places"}` : "";
  return `${name}: ${kind}; ${lengthWords(curve.length, unit)} long; ${bend}${curve.plane ? "; plane" : ""}${crosses}`;
}

function Counts() {
  const piece = usePicking((s) => s.piece);
  const unit = useUnit();
  const words = useDesign((s) => countsOf((s.preview ?? s.design)?.pieces.find((p) => p.id === piece) ?? s.design?.pieces[0], unit));
  const crosses = useDesign((s) => (s.preview ?? s.design)?.pieces.find((p) => p.id === piece)?.curve?.crosses);
  return (
    <Typography variant="body2" color="text.secondary" data-testid="counts" title={words} sx={{ minWidth: 80, flexShrink: 9, overflow: "hidden", textOverflow: "ellipsis" }}>
      {words}
      {piece && crosses?.length ? <ShowWhere piece={piece} place={{ points: crosses }} /> : null}
    </Typography>
  );
}

/** In each station one quiet line: how many of the proofs hold. It is loud where one does not. */
function Held() {
  const list = useProofs((s) => s.list);
  if (!list.length) return null;
  const failing = list.find((proof) => proof.holds === "fails");
  return (
    <Typography variant="body2" data-testid="held" role="status" title={failing ? `${failing.asked}: ${failing.words}` : undefined} sx={{ flexShrink: 0, color: failing ? "error.main" : "text.secondary", fontWeight: failing ? 600 : 400 }}>
      {heldWords(list)}
      {failing && <ShowWhere piece={failing.piece} place={failing.place} />}
    </Typography>
  );
}

/** The bore of the piece in hand, as every system's size. */
function Bore() {
  const piece = usePicking((s) => s.piece);
  const first = useDesign((s) => s.design?.pieces[0]?.id);
  const bore = useBores((s) => s.list).find((b) => b.piece === (piece ?? first));
  const unit = useUnit();
  if (!bore) return null;
  const words = `bore ⌀ ${lengthWords(bore.diameter, unit)}${bore.words ? `: ${bore.words}` : ""}`;
  return <Typography variant="body2" data-testid="bore" title={words} sx={{ minWidth: 90, flexShrink: 1, overflow: "hidden", textOverflow: "ellipsis" }}>{words}</Typography>;
}

/** The stones in hand, and the metal below them; and of any stones what is the matter. */
function Stones() {
  const piece = usePicking((s) => s.piece);
  const list = useStones((s) => s.list);
  const unit = useUnit();
  const known = useDesign((s) => s.design?.pieces.length ?? 0);
  const shown = useDesign((s) => s.preview?.pieces.length ?? 0);
  // Those that are being laid are the last ones.
  const own = list.find((s) => s.piece === piece) ?? (shown > known ? list.at(-1) : undefined);
  const bad = list.find((s) => s.says.length);
  return (
    <>
      {own && <Typography variant="body2" data-testid="stones">{stoneWords(own, unit)}</Typography>}
      {bad && (
        <Typography variant="body2" role="alert" data-testid="stones-short" title={bad.says.join(" ")} sx={{ color: "error.main", fontWeight: 600, overflow: "hidden", textOverflow: "ellipsis" }}>
          {bad.says[0]}
          {bad.through_at.length > 0 && <ShowWhere piece={bad.piece} place={{ points: bad.through_at }} />}
        </Typography>
      )}
    </>
  );
}

function stoneWords({ count, carats, left }: ShownStones, unit: Unit): string {
  const metal = left === null ? "" : `; ${lengthWords(left, unit)} of metal below at least`;
  return `${count} ${count === 1 ? "stone" : "stones"}, ${trimmed(carats, carats < 1 ? 3 : 2)} ct${metal}`;
}

/** How near the images of a repeat come to one another: of the one that is nearest to itself. */
function Gaps() {
  const all = useGaps((s) => s.list);
  const stones = useStones((s) => s.list);
  const list = all.filter((gap) => gap.other === null);
  const unit = useUnit();
  const least = list.reduce<ShownGap | null>((best, gap) => (best && best.distance <= gap.distance ? best : gap), null);
  const name = useDesign((s) => (s.preview ?? s.design)?.pieces.find((p) => p.id === least?.piece)?.name ?? "");
  if (!least) return null;
  const wide = lengthWords(Math.abs(least.distance), unit);
  const of = stones.some((s) => s.piece === least.piece) ? "stones of " : "images of ";
  // Between stones that are set it is the metal that counts.
  const seats = stones.find((s) => s.piece === least.piece)?.between;
  const metal = seats != null && seats > 0 && least.state === "apart" ? `; ${lengthWords(seats, unit)} of metal` : "";
  const words = { apart: `${wide} between ${of}`, touch: `Touch: ${of}`, overlap: `Overlap by ${wide}: ${of}` }[least.state];
  return (
    <Typography variant="body2" data-testid="gap" role="status" sx={{ flexShrink: 0, fontWeight: 600, color: least.state === "apart" ? undefined : "error.main" }}>
      {words}{name}{metal}
      <ShowWhere piece={least.piece} place={{ points: [least.from] }} />
    </Typography>
  );
}

/** How near the picked come to a component, and where a surface comes too near; where it does not, what the next click does. */
function Clearances() {
  const near = useNear((s) => s.list);
  const piece = usePicking((s) => s.piece);
  usePicking((s) => s.picked);
  const references = useDesign((s) => s.design?.references) ?? [];
  const previewed = useDesign((s) => s.preview !== null);
  const unit = useUnit();
  const cage = piece ? pieces.byId.get(piece)?.cage : undefined;
  const now = picksShown();
  const own = nearestOfPicked(near, piece, cage ? verticesOf(cage, now.kind, now.ids) : []);
  // What would read as the clearance itself, or as 0, is no news.
  const short = near.find((n) => n.distance < n.asked && lengthWords(n.distance, unit) !== lengthWords(n.asked, unit));
  const name = (id: string) => references.find((r) => r.id === id)?.name ?? "";
  return (
    <>
      {own && <Typography variant="body2" data-testid="near">{lengthWords(own.distance, unit)} to {name(own.reference)}</Typography>}
      {short && (
        <Typography variant="body2" role="alert" data-testid="short" sx={{ color: "error.main", fontWeight: 600 }}>
          {tooNear(short, name(short.reference), unit)}
          <ShowWhere piece={short.piece} place={{ points: [short.from] }} />
        </Typography>
      )}
      {(!short || previewed) && <ClickHint />}
    </>
  );
}

function tooNear({ distance, asked }: Near, name: string, unit: Unit): string {
  if (distance < 0 && lengthWords(-distance, unit) !== lengthWords(0, unit)) return `The surface cuts into ${name} by ${lengthWords(-distance, unit)}`;
  return `The surface comes within ${lengthWords(distance, unit)} of ${name}; ${lengthWords(asked, unit)} are asked for`;
}

/** What the next click does: the one thing that changes with every move of the pointer. */
function ClickHint() {
  const comparing = useShow((s) => s.compare !== null);
  const previewed = useDesign((s) => s.preview !== null);
  const anyWrong = useAnyMistake();
  const is = useTool()?.is;
  const hover = useHover((s) => s.hover);
  const picked = usePicking((s) => s.picked.length > 0);
  const name = useDesign((s) => s.design?.pieces.find((p) => p.id === hover?.piece)?.name ?? "");
  const words = () => {
    if (comparing) return "Comparing; Esc ends it";
    if (anyWrong) return "A number is wrong: nothing is applied";
    if (is === "brush") return "Drag on the form to sculpt it; right drag turns the view";
    if (previewed) return "Enter applies, Esc backs out";
    if (is === "strokes") return "Drag along edges to paint; right drag turns the view";
    if (!hover) return "Drag a box to pick many; right drag turns the view";
    return `Click takes ${hover.kind} ${hover.kind === "piece" ? name : hover.id}${picked ? "; Shift adds or takes away" : ""}`;
  };
  return <Typography variant="body2" color="text.secondary" sx={{ ml: "auto", flexShrink: 0 }}>{words()}</Typography>;
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
