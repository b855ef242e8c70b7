/** The edges of a body under the pointer. */
import { Vector3 } from "three";
import { useBodies } from "../live/stores/bodies";
import type { Between } from "../model/bodies";
import type { Spot } from "../model/sketch";
import type { Vec } from "../model/vec";
import { type Picker, reachInPixels, toSegment } from "./picking";

/** The spot on the edge of a body that is meant under the pointer; it is lit up. */
export function spotOnBody(picker: Picker, piece: string | null, x: number, y: number): Spot | null {
  const found = piece && bodyEdgeAt(picker, piece, x, y);
  useBodies.setState({ under: found ? { piece, between: found.between, near: found.point } : null });
  if (!found) return null;
  return { point: found.point, on: "edge", normal: null, vertices: [], piece, reference: null, between: found.between };
}

/** Of the edges of a piece's body as it was before anything was previewed, the nearest to a place on the screen. */
function bodyEdgeAt(picker: Picker, piece: string, x: number, y: number): { between: Between; point: Vec } | null {
  let best: { between: Between; point: Vec; distance: number; depth: number } | null = null;
  for (const { between, lines } of useBodies.getState().settled[piece]?.edges ?? [])
    for (let i = 0; i < lines.length; i += 6) {
      const [a, b] = [new Vector3().fromArray(lines, i), new Vector3().fromArray(lines, i + 3)];
      const [from, to] = [picker.onScreen(a), picker.onScreen(b)];
      const { distance, along } = toSegment(x, y, [...from, ...to], 0, 1);
      if (distance >= reachInPixels) continue;
      const depth = from.z + along * (to.z - from.z);
      // Of two that are about as near, the one in front.
      const nearer = best && (Math.abs(distance - best.distance) < 3 ? depth < best.depth : distance < best.distance);
      if (!best || nearer) best = { between, point: a.lerp(b, along).toArray(), distance, depth };
    }
  return best;
}
