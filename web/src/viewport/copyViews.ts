/** The images of all repeats that there are. */
import { Group, type Plane, type Vector3 } from "three";
import { pieces } from "../live/pieces";
import { type CopyDress, CopyView, type ImageBase } from "./copyView";
import { GemView } from "./gemView";
import type { PieceView } from "./pieceView";

export class CopyViews {
  readonly group = new Group();
  private readonly byId = new Map<string, CopyView>();
  private readonly gems = new Map<string, GemView>();

  constructor(private readonly planes: Plane[]) {}

  /** Those that are shown. */
  get shown(): CopyView[] {
    return [...this.byId.values()].filter((copy) => copy.group.visible);
  }

  /** Laid anew where their places, or what they are of, was made anew. */
  lay(view: (id: string) => PieceView | null): void {
    for (const [id, frames] of pieces.copies) {
      const bases = frames.map(({ of }) => this.baseOf(of, view));
      const held = this.byId.get(id);
      if (held && bases.every((base) => base && held.isOf(base))) continue;
      this.drop(id);
      const copy = new CopyView(id, frames, (of) => this.baseOf(of, view), this.planes);
      this.byId.set(id, copy);
      this.group.add(copy.group);
    }
  }

  /** A piece, or a stone. */
  private baseOf(of: string, view: (id: string) => PieceView | null): ImageBase | null {
    const frame = pieces.gems.get(of);
    if (!frame) return view(of);
    let found = this.gems.get(of);
    if (!found) this.gems.set(of, (found = new GemView(frame)));
    return found;
  }

  drop(id: string): void {
    const copy = this.byId.get(id);
    if (!copy) return;
    this.group.remove(copy.group);
    copy.dispose();
    this.byId.delete(id);
  }

  dress(dressOf: (id: string) => CopyDress): void {
    for (const [id, copy] of this.byId) copy.dress(dressOf(id));
  }

  /** Points by which those that are shown reach as far as they do. */
  *corners(): Iterable<Vector3> {
    for (const copy of this.shown) yield* copy.corners();
  }

  dispose(): void {
    for (const id of [...this.byId.keys()]) this.drop(id);
    for (const gem of this.gems.values()) gem.dispose();
  }
}
