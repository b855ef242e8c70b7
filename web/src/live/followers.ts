/** The follower that is being edited, and what followers and the edges between their faces are called. */
import { create } from "zustand";
import { type Between, sameEdges, useBodies } from "./bodies";
import type { AnyFollower, PieceState, SolidFile } from "./types";

interface FollowersState {
  editing: { piece: string; follower: AnyFollower } | null;
  /** Solids brought in from files, to combine with. */
  solids: SolidFile[];
}

export const useFollowers = create<FollowersState>(() => ({ editing: null, solids: [] }));

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

/** The edges that there are on a piece's body before anything is previewed, with those that an edited follower names. */
export function edgesOf(piece: PieceState | undefined): Between[] {
  if (!piece) return [];
  const { settled } = useBodies.getState();
  const found: Between[] = (settled[piece.id]?.edges ?? []).map((edge) => edge.between);
  const { editing } = useFollowers.getState();
  const own = editing?.follower;
  if (own && (own.kind === "fillet" || own.kind === "cut-edge") && own.between) {
    const named = own.between as Between;
    if (!found.some((edge) => sameEdges(edge, named))) found.unshift(named);
  }
  // Those between two makers first: they are what is mostly meant.
  return found.sort((a, b) => Number(a[0] === a[1]) - Number(b[0] === b[1]));
}
