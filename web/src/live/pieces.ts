/** The arrays of the pieces as last shown, outside of React: the viewport draws straight from them. */
import type { CageArrays, CopiesFrame, Frame, GemFrame, LineArrays, SurfaceArrays } from "../model/types";

export interface PieceArrays {
  cage: CageArrays;
  surface: SurfaceArrays;
  /** Of a curve; it has neither faces nor a surface. */
  line?: LineArrays;
  /** How protected each row of the surface is from brushes, 0 to 255; empty where nothing is. */
  mask?: Uint8Array;
}

export type Change = { id: string; what: "whole" | "moved" | "gone" };

export class Pieces {
  readonly byId = new Map<string, PieceArrays>();
  /** Pieces that are images of others: where these are. */
  readonly copies = new Map<string, CopiesFrame[]>();
  /** What stones look like, by the names under which images of them come. */
  readonly gems = new Map<string, GemFrame>();
  private readonly listeners = new Set<(changes: Change[]) => void>();

  listen(listener: (changes: Change[]) => void): () => void {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  }

  take(frame: Frame): void {
    const changes: Change[] = [];
    for (const id of frame.gone) {
      this.byId.delete(id);
      this.copies.delete(id);
      changes.push({ id, what: "gone" });
    }
    for (const piece of frame.pieces) {
      if (piece.copies) {
        this.byId.delete(piece.id);
        for (const { of, gem } of piece.copies) if (gem) this.gems.set(of, gem);
        this.copies.set(piece.id, piece.copies);
        changes.push({ id: piece.id, what: "whole" });
        continue;
      }
      if (piece.cage && piece.surface) {
        this.copies.delete(piece.id);
        this.byId.set(piece.id, { cage: piece.cage, surface: piece.surface, line: piece.line, mask: piece.mask });
        changes.push({ id: piece.id, what: "whole" });
        continue;
      }
      const held = this.byId.get(piece.id);
      if (!held || !piece.cage_rows) continue;
      scatter(held.cage.positions, piece.cage_rows.rows, piece.cage_rows.positions);
      if (piece.line) held.line = piece.line;
      if (piece.mask) held.mask = piece.mask;
      if (!piece.surface_rows) {
        changes.push({ id: piece.id, what: "moved" });
        continue;
      }
      scatter(held.surface.positions, piece.surface_rows.rows, piece.surface_rows.positions);
      scatter(held.surface.normals, piece.surface_rows.rows, piece.surface_rows.normals);
      changes.push({ id: piece.id, what: "moved" });
    }
    if (changes.length) for (const listener of this.listeners) listener(changes);
  }

  clear(): void {
    const changes: Change[] = [...this.byId.keys(), ...this.copies.keys()].map((id) => ({ id, what: "gone" }));
    this.byId.clear();
    this.copies.clear();
    for (const listener of this.listeners) listener(changes);
  }
}

function scatter<T extends Float32Array | Float64Array>(into: T, rows: Int32Array | null, values: T): void {
  if (rows === null) {
    into.set(values);
    return;
  }
  for (let i = 0; i < rows.length; i++)
    for (let k = 0; k < 3; k++) into[3 * rows[i] + k] = values[3 * i + k];
}

/** The pieces of the open design. */
export const pieces = new Pieces();
