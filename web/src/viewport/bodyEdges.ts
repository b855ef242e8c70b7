/** The edges of a body under the pointer. */
import { Vector3 } from "three";
import { type Between, useBodies } from "../live/bodies";
import type { Vec } from "../live/look";
import { type Picker, reachInPixels, toSegment } from "./picking";

/** Of the edges of a piece's body as it was before anything was previewed, the nearest to a place on the screen. */
export function bodyEdgeAt(picker: Picker, piece: string, x: number, y: number): { between: Between; point: Vec } | null {
  let best: { between: Between; point: Vec; distance: number; depth: number } | null = null;
  for (const { between, lines } of useBodies.getState().settled[piece]?.edges ?? [])
    for (let i = 0; i < lines.length; i += 6) {
      const [a, b] = [new Vector3().fromArray(lines, i), new Vector3().fromArray(lines, i + 3)];
      const [from, to] = [picker.onScreen(a), picker.onScreen(b)];
      const { distance, along } = toSegment(x, y, from, to);
      if (distance >= reachInPixels) continue;
      const depth = from.z + along * (to.z - from.z);
      // Of two that are about as near, the one in front.
      const nearer = best && (Math.abs(distance - best.distance) < 3 ? depth < best.depth : distance < best.distance);
      if (!best || nearer) best = { between, point: a.lerp(b, along).toArray() as Vec, distance, depth };
    }
  return best;
}
