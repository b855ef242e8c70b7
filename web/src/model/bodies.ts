/** The bodies that followers make of pieces, and their edges by what made the faces beside them. */
import type { AnyFollower, Body, PieceState } from "./types";
import { pointAt, toSegment, type Vec } from "./vec";

export type Between = [string, string];

/** Edges of a piece's body: all between two makers, or the chain of them that comes nearest to a point. */
export interface Meant {
  piece: string;
  between: Between;
  near: Vec | null;
}

export const sameEdges = (a: Between, b: Between): boolean => [...a].sort().join() === [...b].sort().join();

/** The segments of what is meant on a body, two points after another. */
export function meantLines(meant: Meant, body: Body | undefined): Float32Array {
  const edge = body?.edges?.find((e) => sameEdges(e.between, meant.between));
  if (!edge) return new Float32Array();
  const { lines, chains } = edge;
  const { near } = meant;
  if (!near) return lines;
  let [nearest, least] = [-1, Infinity];
  for (let i = 0; i < chains.length; i++) {
    const { distance } = toSegment(near, pointAt(lines, 2 * i), pointAt(lines, 2 * i + 1));
    if (distance < least) [nearest, least] = [chains[i], distance];
  }
  return lines.filter((_, k) => chains[Math.floor(k / 6)] === nearest);
}

/** What made a face, in words. */
export function makerOf(piece: PieceState, maker: string): string {
  if (maker === "piece") return piece.name;
  return piece.called[maker] ?? "what is gone";
}

export function edgeWords(piece: PieceState, [a, b]: Between): string {
  if (a === b) return `sharp edges of ${makerOf(piece, a)}`;
  const [first, second] = [a, b].sort((x) => (x === "piece" ? -1 : 1));
  return `where ${makerOf(piece, first)} meets ${makerOf(piece, second)}`;
}

/** The edges that there are on a body, with those that a follower names which is being changed. */
export function edgesOn(body: Body | undefined, editing: AnyFollower | null): Between[] {
  const found: Between[] = (body?.edges ?? []).map((edge) => edge.between);
  if (editing && (editing.kind === "fillet" || editing.kind === "cut-edge") && editing.between) {
    const named = editing.between;
    if (!found.some((edge) => sameEdges(edge, named))) found.unshift(named);
  }
  // Those between two makers first: they are what is mostly meant.
  return found.sort((a, b) => Number(a[0] === a[1]) - Number(b[0] === b[1]));
}
