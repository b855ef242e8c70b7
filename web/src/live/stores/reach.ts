/** Reach: how far a change carries around the picked. It stays as it was set, from one gesture to the next. */
import { create } from "zustand";
import type { Kind, Reach, Weights } from "../../model/types";

export const profiles = ["smooth", "sharp", "round", "flat", "linear", "drawn"] as const;
export type Profile = (typeof profiles)[number];
export type CurvePoint = [distance: number, share: number];

export interface ReachStore {
  /** In mm; 0 carries nothing. */
  radius: number;
  inSpace: boolean;
  profile: Profile;
  curve: CurvePoint[];
  /** Only these elements of this piece take part. */
  within: { piece: string; kind: Kind; ids: number[] } | null;
  /** Shown as colour on the form. */
  weights: Weights | null;
}

export const useReach = create<ReachStore>(() => ({
  radius: 0,
  inSpace: false,
  profile: "smooth",
  curve: [[0, 1], [0.35, 0.85], [0.65, 0.15], [1, 0]],
  within: null,
  weights: null,
}));

/** What a command takes, or null while nothing is carried. */
export function reachOn(piece: string | null): Reach | null {
  const { radius, inSpace, profile, curve, within } = useReach.getState();
  if (!(radius > 0)) return null;
  const limited = within?.piece === piece ? { within: { kind: within.kind, ids: within.ids } } : {};
  return { radius, in_space: inSpace, profile, curve: profile === "drawn" ? curve : [], ...limited };
}
