/** Curves on the form and how they bend: which are shown, and as last told by the live channel. */
import { create } from "zustand";
import type { AxisPlane } from "../../model/context";
import type { AskedCurves, ShownCurve } from "../../model/types";
import { axisVec, times } from "../../model/vec";

export interface CurvesStore {
  /** A section square to an axis, in mm; null for none. */
  section: AxisPlane | null;
  seam: boolean;
  /** The lines of the edges that are picked. */
  edges: boolean;
  /** How long the teeth of the comb are drawn; 1 is as long as suits the form. */
  comb: number;
  list: ShownCurve[];
}

export const useCurves = create<CurvesStore>(() => ({ section: null, seam: false, edges: false, comb: 1, list: [] }));

/** What the live channel is asked for, for a piece and the edges picked on it; null for nothing. */
export function askedCurves(piece: string | null, edges: number[]): AskedCurves | null {
  const { section, seam, edges: own } = useCurves.getState();
  if (!piece || !(section || seam || (own && edges.length))) return null;
  const cut = section && { point: times(axisVec(section.axis), section.at), normal: axisVec(section.axis) };
  return { piece, seam, edges: own ? edges : [], section: cut };
}
