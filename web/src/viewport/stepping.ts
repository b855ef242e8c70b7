/** From element to element by keys: along neighbours, by what the view calls left, right, up and down. */
import { cleared } from "../live/line";
import { pick } from "../live/picks";
import { usePicking } from "../live/stores/picking";
import { middleOf } from "../model/measure";
import type { CageArrays, Kind } from "../model/types";
import { Vector3 } from "three";
import { mainView } from "./mainView";

const ways: Record<string, [number, number]> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] };
/** A neighbour that lies further off the way than this (a cosine) is not meant. */
const leastAlong = 0.3;

/** Elements that touch one: at the other ends of its edges, at its own ends, across its edges. */
export function neighbours({ edge_verts, edge_faces }: CageArrays, kind: Kind, id: number): number[] {
  const found = new Set<number>();
  const of = kind === "face" ? edge_faces : edge_verts;
  const ends = kind === "edge" ? [edge_verts[2 * id], edge_verts[2 * id + 1]] : [];
  for (let e = 0; 2 * e < edge_verts.length; e++) {
    const [a, b] = [of[2 * e], of[2 * e + 1]];
    if (kind === "edge" ? ends.includes(a) || ends.includes(b) : false) found.add(e);
    else if (kind !== "edge" && a === id && b >= 0) found.add(b);
    else if (kind !== "edge" && b === id && a >= 0) found.add(a);
  }
  found.delete(id);
  return [...found];
}

/** Of some places on the screen the one that lies most in a direction from another; null where none lies that way. */
export function nearestTowards(from: [number, number], [dx, dy]: [number, number], places: [number, number][]): number | null {
  let best: { i: number; score: number } | null = null;
  places.forEach(([x, y], i) => {
    const [ax, ay] = [x - from[0], y - from[1]];
    const far = Math.hypot(ax, ay);
    const along = far > 0 ? (ax * dx + ay * dy) / far : 0;
    // What lies straight on comes before what is near.
    const score = along / Math.sqrt(Math.max(far, 1));
    if (along > leastAlong && (!best || score > best.score)) best = { i, score };
  });
  return (best as { i: number; score: number } | null)?.i ?? null;
}

/** Pick the neighbour that lies that way; with `add` beside what is picked. With nothing picked, what lies in the middle of the view. */
export function step(key: string, add: boolean): void {
  void cleared().then(() => stepNow(ways[key], add));
}

function stepNow(way: [number, number], add: boolean): void {
  const { scene } = mainView;
  const { pickKind: kind, picked, piece, through } = usePicking.getState();
  if (!scene || kind === "piece") return;
  const picker = scene.freePicker(through);
  const view = scene.view(piece) ?? scene.shownViews()[0];
  if (!view) return;
  const { cage } = view.arrays;
  const onScreen = (id: number): [number, number] => {
    const { x, y } = picker.onScreen(new Vector3(...middleOf(cage, kind, [id])));
    return [x, y];
  };
  const from = picked.at(-1);
  if (from === undefined || scene.view(piece) === null) {
    const seen = allOf(cage, kind).filter((id) => picker.sight.sees(view, kind, id));
    const [cx, cy] = picker.middleOfScreen;
    const nearest = seen.sort((a, b) => apart(onScreen(a), [cx, cy]) - apart(onScreen(b), [cx, cy])).at(0);
    if (nearest !== undefined) pick(view.id, [nearest]);
    return;
  }
  const beside = neighbours(cage, kind, from).filter((id) => through || picker.sight.sees(view, kind, id));
  const found = nearestTowards(onScreen(from), way, beside.map(onScreen));
  if (found === null) return;
  const next = beside[found];
  pick(view.id, add ? [...picked.filter((id) => id !== next), next] : [next]);
}

const apart = (a: [number, number], b: [number, number]): number => Math.hypot(a[0] - b[0], a[1] - b[1]);

function allOf(cage: CageArrays, kind: Kind): number[] {
  const count = kind === "vertex" ? cage.positions.length / 3 : kind === "edge" ? cage.edge_verts.length / 2 : cage.face_offsets.length - 1;
  return [...Array(count).keys()];
}
