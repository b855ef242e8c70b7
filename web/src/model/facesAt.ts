/** Which faces of a cage lie at places on its smooth surface. */
import type { SurfaceArrays } from "./types";
import type { Vec } from "./vec";

/** Each once: those from which the surface's row came that is nearest to each point. */
export function facesAt(points: readonly Vec[], { positions, quads, face_of_quad }: Pick<SurfaceArrays, "positions" | "quads" | "face_of_quad">): number[] {
  const faces = new Set<number>();
  for (const [x, y, z] of points) {
    let [nearest, least] = [-1, Infinity];
    for (let row = 0; 3 * row + 2 < positions.length; row++) {
      const away = (positions[3 * row] - x) ** 2 + (positions[3 * row + 1] - y) ** 2 + (positions[3 * row + 2] - z) ** 2;
      if (away < least) [nearest, least] = [row, away];
    }
    const at = quads.indexOf(nearest);
    if (at >= 0) faces.add(face_of_quad[at >> 2]);
  }
  return [...faces].sort((a, b) => a - b);
}
