/** Two that are compared side by side stand apart by their width on the screen. */
import { Vector3 } from "three";
import { useShow } from "../live/stores/show";
import type { PieceView } from "./pieceView";

/** Where a piece is drawn, of those that are compared; nought where none are, or where they are laid over one another. */
export function placeBeside(id: string, view: (id: string) => PieceView | null, right: Vector3): Vector3 {
  const { compare } = useShow.getState();
  if (!compare || compare.over) return new Vector3();
  let [low, high] = [Infinity, -Infinity];
  for (const one of [compare.a, compare.b]) {
    const arrays = view(one)?.arrays;
    const positions = arrays?.line?.points ?? arrays?.surface.positions ?? [];
    for (let i = 0; i < positions.length; i += 3) {
      const along = positions[i] * right.x + positions[i + 1] * right.y + positions[i + 2] * right.z;
      [low, high] = [Math.min(low, along), Math.max(high, along)];
    }
  }
  const half = Number.isFinite(low) ? 0.58 * (high - low) : 0;
  return right.clone().multiplyScalar(id === compare.a ? -half : half);
}
