/** What followers make of the pieces, as last told by the live channel; and the edges of a body that are meant. */
import { create } from "zustand";
import type { Body, BodiesMessage } from "./types";

export type Between = [string, string];

interface BodiesState {
  byId: Record<string, Body>;
  /** As it was before anything was previewed: what there is to choose from. */
  settled: Record<string, Body>;
  /** Edges to be shown, of a piece's body. */
  meant: { piece: string; between: Between } | null;
  /** Points where something broke, to be shown. */
  broken: [number, number, number][];
}

export const useBodies = create<BodiesState>(() => ({ byId: {}, settled: {}, meant: null, broken: [] }));

export function takeBodies(message: BodiesMessage, previewing: boolean): void {
  const { byId, settled } = useBodies.getState();
  const next = { ...byId };
  for (const id of message.gone) delete next[id];
  for (const body of message.bodies) next[body.id] = body;
  useBodies.setState({ byId: next, settled: previewing ? settled : next });
}

export const clearBodies = (): void => useBodies.setState({ byId: {}, settled: {}, meant: null, broken: [] });

/** The design stands as it was: what there is now is what there is to choose from. */
export const settleBodies = (): void => useBodies.setState(({ byId }) => ({ settled: byId }));

export const sameEdges = (a: Between, b: Between): boolean => [...a].sort().join() === [...b].sort().join();
