/** What clicks, bands and double-clicks pick. */
import { useBench } from "../live/bench";
import { useLook } from "../live/look";
import type { Scene } from "./scene";

/** A box begun at a corner, or a line drawn around; `add` keeps what is picked already. */
export interface Band {
  x: number;
  y: number;
  add: boolean;
  line: [number, number][];
}

/** Pick what lies under a click. */
export function pickAt(scene: Scene, x: number, y: number, add: boolean): void {
  const bench = useBench.getState();
  const hit = scene.picker(bench.through).at(bench.pickKind, x, y);
  if (!hit) {
    if (!add) bench.pick(null, []);
    return;
  }
  if (hit.kind === "piece") return pickWhole(hit.piece, add);
  const same = bench.piece === hit.piece;
  if (!add || !same) bench.pick(hit.piece, [hit.id]);
  else if (bench.picked.includes(hit.id)) bench.pick(hit.piece, bench.picked.filter((id) => id !== hit.id));
  else bench.pick(hit.piece, [...bench.picked, hit.id]);
}

/** A whole piece, and those of its group with it. */
function pickWhole(id: string, add: boolean): void {
  const { design, piece, picked, others, pick } = useBench.getState();
  const group = design?.pieces.find((p) => p.id === id)?.group;
  const members = group ? design!.pieces.filter((p) => p.group === group).map((p) => p.id) : [id];
  const now = picked.length && piece ? [piece, ...others] : [];
  const next = !add ? members : now.includes(id) ? now.filter((p) => !members.includes(p)) : [...now, ...members];
  const [first, ...rest] = next;
  pick(first ?? piece, first ? [0] : [], rest);
}

/** Pick what a box or a lasso takes. */
export function pickBand(scene: Scene, band: Band, x1: number, y1: number): void {
  const bench = useBench.getState();
  const { x: x0, y: y0, add, line } = band;
  const picker = scene.picker(bench.through);
  const box: [number, number, number, number] = [Math.min(x0, x1), Math.min(y0, y1), Math.max(x0, x1), Math.max(y0, y1)];
  const { lasso } = useLook.getState();
  const inside = (view: Parameters<typeof picker.inBox>[1]) =>
    lasso ? picker.inLasso(bench.pickKind, view, line) : picker.inBox(bench.pickKind, view, box, x1 < x0);
  if (bench.pickKind === "piece") {
    const found = scene.shownViews().filter((view) => inside(view).length).map((view) => view.id);
    const all = add && bench.picked.length && bench.piece ? [...new Set([bench.piece, ...bench.others, ...found])] : found;
    return bench.pick(all[0] ?? bench.piece, all.length ? [0] : [], all.slice(1));
  }
  const view = scene.view(bench.piece) ?? scene.shownViews()[0];
  if (!view) return;
  const found = inside(view);
  bench.pick(view.id, add ? [...new Set([...bench.picked, ...found])] : found);
}

/** A double click takes the loop: of edges, of vertices, or a strip of faces, the way the pointer lies nearest to. */
export function pickLoop(scene: Scene, x: number, y: number, add: boolean): void {
  const bench = useBench.getState();
  if (bench.pickKind === "piece" || useLook.getState().compare) return;
  const picker = scene.picker(bench.through);
  const hit = picker.at(bench.pickKind, x, y);
  if (!hit || hit.kind === "piece") return;
  const towards = hit.kind === "edge" ? null : picker.edgeNearest(hit.kind, hit.piece, hit.id, x, y);
  const kept = add && bench.piece === hit.piece ? bench.picked : [];
  bench.pick(hit.piece, [hit.id]);
  const rule = { rule: "loop" as const, ...(towards === null ? {} : { towards }) };
  void bench.pickBy(rule, { kind: hit.kind, ids: [hit.id] }).then((found) => {
    if (found && kept.length) bench.pick(hit.piece, [...new Set([...kept, ...useBench.getState().picked])]);
  });
}
