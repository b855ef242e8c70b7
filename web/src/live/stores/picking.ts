/** What is picked, and what lies under the pointer. */
import { create } from "zustand";
import type { Kind } from "../../model/types";

export interface PickingStore {
  pickKind: Kind;
  /** Also what lies behind is picked. */
  through: boolean;
  /** The piece in hand. */
  piece: string | null;
  picked: number[];
  /** Further pieces that are picked as wholes, beside `piece`. */
  others: string[];
  /** What was picked when a rule was asked for that is not answered yet. */
  asked: number[] | null;
}

export const usePicking = create<PickingStore>(() => ({ pickKind: "face", through: false, piece: null, picked: [], others: [], asked: null }));

export interface Hover {
  piece: string;
  kind: Kind;
  id: number;
}

/** By itself, for it changes with every move of the pointer. */
export const useHover = create<{ hover: Hover | null }>(() => ({ hover: null }));

export function setHover(hover: Hover | null): void {
  const now = useHover.getState().hover;
  if (now?.id !== hover?.id || now?.piece !== hover?.piece || now?.kind !== hover?.kind) useHover.setState({ hover });
}

export const plural = { vertex: "vertices", edge: "edges", face: "faces", piece: "pieces" } as const;
