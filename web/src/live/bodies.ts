/** What followers make of the pieces, as last told by the live channel; and the edges of a body that are meant. */
import { create } from "zustand";
import type { Vec } from "./look";
import type { Body, BodiesMessage } from "./types";

export type Between = [string, string];

/** Edges of a piece's body: all between two makers, or the chain of them that comes nearest to a point. */
export interface Meant {
  piece: string;
  between: Between;
  near: Vec | null;
}

interface BodiesState {
  byId: Record<string, Body>;
  /** As it was before anything was previewed: what there is to choose from. */
  settled: Record<string, Body>;
  /** Edges to be shown, of a piece's body; and those that lie under the pointer. */
  meant: Meant | null;
  under: Meant | null;
  /** What is said of places, such as a radius. */
  labels: { at: Vec; words: string }[];
  /** Points where something broke, to be shown. */
  broken: [number, number, number][];
}

export const nothingMeant = { meant: null, under: null, labels: [], broken: [] };

export const useBodies = create<BodiesState>(() => ({ byId: {}, settled: {}, ...nothingMeant }));

export function takeBodies(message: BodiesMessage, previewing: boolean): void {
  const { byId, settled } = useBodies.getState();
  const next = { ...byId };
  for (const id of message.gone) delete next[id];
  for (const body of message.bodies) next[body.id] = body;
  useBodies.setState({ byId: next, settled: previewing ? settled : next });
}

export const clearBodies = (): void => useBodies.setState({ byId: {}, settled: {}, ...nothingMeant });

/** The design stands as it was: what there is now is what there is to choose from. */
export const settleBodies = (): void => useBodies.setState(({ byId }) => ({ settled: byId }));

/** The segments of what is meant, two points after another. */
export function meantLines(meant: Meant | null): Float32Array {
  const edge = meant && useBodies.getState().settled[meant.piece]?.edges?.find((e) => sameEdges(e.between, meant.between));
  if (!edge) return new Float32Array();
  const { lines, chains } = edge;
  if (!meant.near) return lines;
  let [nearest, least] = [-1, Infinity];
  for (let i = 0; i < chains.length; i++) {
    const away = toSegment3(meant.near, lines, 6 * i);
    if (away < least) [nearest, least] = [chains[i], away];
  }
  return lines.filter((_, k) => chains[Math.floor(k / 6)] === nearest);
}

/** The way from a point to the segment that begins in an array at `i`. */
function toSegment3(p: Vec, lines: Float32Array, i: number): number {
  const way = [0, 1, 2].map((k) => lines[i + 3 + k] - lines[i + k]);
  const from = [0, 1, 2].map((k) => p[k] - lines[i + k]);
  const dot = (a: number[], b: number[]) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
  const along = Math.min(1, Math.max(0, dot(from, way) / (dot(way, way) || 1)));
  return Math.hypot(...from.map((x, k) => x - along * way[k]));
}

export const sameEdges = (a: Between, b: Between): boolean => [...a].sort().join() === [...b].sort().join();
