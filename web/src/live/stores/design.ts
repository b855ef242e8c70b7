/** The open design as the service last told it, what a preview would make of it, and how the connection stands. */
import { create } from "zustand";
import type { DesignState, PieceState, PreviewState } from "../../model/types";
import type { Unit } from "../../model/units";

interface DesignStore {
  /** Which one is open, also before it was told. */
  id: string | null;
  design: DesignState | null;
  preview: PreviewState | null;
  connected: boolean;
  /** The design is not there any more. */
  gone: boolean;
  /** What the service is still working on, and for how long; null as a rule. */
  working: { seq: number; seconds: number; stoppable: boolean } | null;
}

export const useDesign = create<DesignStore>(() => ({ id: null, design: null, preview: null, connected: false, gone: false, working: null }));

export const pieceNamed = (id: string | null): PieceState | null => useDesign.getState().design?.pieces.find((p) => p.id === id) ?? null;

export const useUnit = (): Unit => useDesign((s) => s.design?.unit ?? "mm");
export const usePiece = (id: string | null): PieceState | null => useDesign((s) => s.design?.pieces.find((p) => p.id === id) ?? null);
