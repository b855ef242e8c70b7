/** A place that was asked to be shown: what a refusal or a warning is about. */
import { create } from "zustand";
import type { Place } from "../../model/types";
import { pointAt, type Vec } from "../../model/vec";
import { pieces } from "../pieces";
import { useBodies } from "./bodies";

interface ShownStore {
  piece: string | null;
  place: Place | null;
  /** Every time that it is asked for anew the eye goes there again. */
  turn: number;
}

export const useShown = create<ShownStore>(() => ({ piece: null, place: null, turn: 0 }));

export const hasPlace = (place: Partial<Place> | null | undefined): place is Place =>
  !!place && [place.vertices, place.edges, place.faces, place.points].some((list) => !!list?.length);

export function showPlace(piece: string | null, place: Place): void {
  useShown.setState(({ turn }) => ({ piece, place, turn: turn + 1 }));
  useBodies.setState({ broken: place.points ?? [] });
}

export function showNothing(): void {
  if (!useShown.getState().place) return;
  useShown.setState({ piece: null, place: null });
  useBodies.setState({ broken: [] });
}

/** Points in mm that lie at a place, for the eye to take in. */
export function pointsOf(piece: string | null, place: Place): Vec[] {
  const found: Vec[] = [...(place.points ?? [])];
  const cage = piece ? pieces.byId.get(piece)?.cage : undefined;
  if (!cage) return found;
  const at = (v: number) => {
    if (3 * v + 2 < cage.positions.length) found.push(pointAt(cage.positions, v));
  };
  for (const v of place.vertices ?? []) at(v);
  for (const e of place.edges ?? []) if (2 * e + 1 < cage.edge_verts.length) for (const k of [0, 1]) at(cage.edge_verts[2 * e + k]);
  for (const f of place.faces ?? [])
    for (let k = cage.face_offsets[f] ?? 0; k < (cage.face_offsets[f + 1] ?? 0); k++) at(cage.face_verts[k]);
  return found;
}
