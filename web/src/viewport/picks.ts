/** What clicks, bands and double-clicks pick. */
import { pick, pickBy } from "../live/picks";
import { useDesign } from "../live/stores/design";
import { usePicking } from "../live/stores/picking";
import { useShow } from "../live/stores/show";
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
  const now = usePicking.getState();
  const hit = scene.freePicker(now.through).at(now.pickKind, x, y);
  if (!hit) {
    if (!add) pick(null, []);
    return;
  }
  if (hit.kind === "piece") return pickWhole(hit.piece, add);
  const same = now.piece === hit.piece;
  if (!add || !same) pick(hit.piece, [hit.id]);
  else if (now.picked.includes(hit.id)) pick(hit.piece, now.picked.filter((id) => id !== hit.id));
  else pick(hit.piece, [...now.picked, hit.id]);
}

/** A whole piece, and those of its group with it. */
function pickWhole(id: string, add: boolean): void {
  const { design } = useDesign.getState();
  const { piece, picked, others } = usePicking.getState();
  const group = design?.pieces.find((p) => p.id === id)?.group;
  const members = group ? design.pieces.filter((p) => p.group === group).map((p) => p.id) : [id];
  const before = picked.length && piece ? [piece, ...others] : [];
  const next = !add ? members : before.includes(id) ? before.filter((p) => !members.includes(p)) : [...before, ...members];
  const [first, ...rest] = next;
  pick(first ?? piece, first ? [0] : [], rest);
}

/** Pick what a box or a lasso takes. */
export function pickBand(scene: Scene, band: Band, x1: number, y1: number): void {
  const now = usePicking.getState();
  const { x: x0, y: y0, add, line } = band;
  const picker = scene.freePicker(now.through);
  const box: [number, number, number, number] = [Math.min(x0, x1), Math.min(y0, y1), Math.max(x0, x1), Math.max(y0, y1)];
  const { lasso } = useShow.getState();
  const inside = (view: Parameters<typeof picker.inBox>[1]) =>
    lasso ? picker.inLasso(now.pickKind, view, line) : picker.inBox(now.pickKind, view, box, x1 < x0);
  if (now.pickKind === "piece") {
    const found = scene.shownViews().filter((view) => inside(view).length).map((view) => view.id);
    const all = add && now.picked.length && now.piece ? [...new Set([now.piece, ...now.others, ...found])] : found;
    return pick(all[0] ?? now.piece, all.length ? [0] : [], all.slice(1));
  }
  const view = scene.view(now.piece) ?? scene.shownViews()[0];
  if (!view) return;
  const found = inside(view);
  pick(view.id, add ? [...new Set([...now.picked, ...found])] : found);
}

/** A double click takes the loop: of edges, of vertices, or a strip of faces, the way the pointer lies nearest to. */
export function pickLoop(scene: Scene, x: number, y: number, add: boolean): void {
  const now = usePicking.getState();
  if (now.pickKind === "piece" || useShow.getState().compare) return;
  const picker = scene.freePicker(now.through);
  const hit = picker.at(now.pickKind, x, y);
  if (!hit || hit.kind === "piece") return;
  const towards = hit.kind === "edge" ? null : picker.edgeNearest(hit.kind, hit.piece, hit.id, x, y);
  const kept = add && now.piece === hit.piece ? now.picked : [];
  pick(hit.piece, [hit.id]);
  const rule = { rule: "loop" as const, ...(towards === null ? {} : { towards }) };
  void pickBy(rule, { kind: hit.kind, ids: [hit.id] }).then((found) => {
    if (found && kept.length) pick(hit.piece, [...new Set([...kept, ...usePicking.getState().picked])]);
  });
}
