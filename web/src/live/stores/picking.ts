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

/** How many of the picked cannot be seen from where the eye is; found when it rests. */
export const useHidden = create<{ hidden: number }>(() => ({ hidden: 0 }));

export function setHidden(hidden: number): void {
  if (useHidden.getState().hidden !== hidden) useHidden.setState({ hidden });
}

export const plural = { vertex: "vertices", edge: "edges", face: "faces", piece: "pieces" } as const;
