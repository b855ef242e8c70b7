/** What followers make of the pieces, as last told by the live channel; and the edges of a body that are meant. */
import { create } from "zustand";
import type { Meant } from "../../model/bodies";
import type { BodiesMessage, Body } from "../../model/types";
import type { Vec } from "../../model/vec";

interface BodiesStore {
  byId: Record<string, Body>;
  /** As it was before anything was previewed: what there is to choose from. */
  settled: Record<string, Body>;
  /** Edges to be shown, of a piece's body; and those that lie under the pointer. */
  meant: Meant | null;
  under: Meant | null;
  /** What is said of places, such as a radius. */
  labels: { at: Vec; words: string }[];
  /** Points where something broke, to be shown. */
  broken: Vec[];
}

export const nothingMeant = { meant: null, under: null, labels: [], broken: [] };

export const useBodies = create<BodiesStore>(() => ({ byId: {}, settled: {}, ...nothingMeant }));

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
