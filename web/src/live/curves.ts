/** Curves on the form and how they bend: which are shown, and as last told by the live channel. */
import { create } from "zustand";
import type { Bend } from "./types";

interface CurvesState {
  /** A section square to an axis, in mm; null for none. */
  section: { axis: 0 | 1 | 2; at: number } | null;
  seam: boolean;
  /** The lines of the edges that are picked. */
  edges: boolean;
  /** How long the teeth of the comb are drawn; 1 is as long as suits the form. */
  comb: number;
  list: Bend[];
  set(change: Partial<CurvesState>): void;
}

export const useCurves = create<CurvesState>((set) => ({ section: null, seam: false, edges: false, comb: 1, list: [], set }));

/** What the live channel is asked for, for a piece and the edges picked on it; null for nothing. */
export function askedCurves(piece: string | null, edges: number[]): object | null {
  const { section, seam, edges: own } = useCurves.getState();
  if (!piece || !(section || seam || (own && edges.length))) return null;
  const along = [0, 0, 0];
  if (section) along[section.axis] = 1;
  return {
    piece, seam, edges: own ? edges : [],
    section: section && { point: along.map((x) => x * section.at), normal: along },
  };
}
