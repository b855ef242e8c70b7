/** How many points levels of relief have, and what is said of that. */
import type { CageArrays } from "./types";

export const deepest = 7;
/** The most points of one level, as the service has it; and from how many on a stroke may lag behind the hand. */
export const mostPoints = 1_500_000;
export const slowPoints = 400_000;

/** Points of the levels 0 to 7 of a cage: one for each vertex, edge and face of the level before. */
export function pointCounts(cage: CageArrays): number[] {
  let [vertices, edges, faces] = [cage.positions.length / 3, cage.edge_verts.length / 2, cage.face_offsets.length - 1];
  let corners = cage.face_verts.length;
  const counts = [vertices];
  for (let level = 1; level <= deepest; level++) {
    [vertices, edges, faces] = [vertices + edges + faces, 2 * edges + corners, corners];
    corners = 4 * faces;
    counts.push(vertices);
  }
  return counts;
}

/** The finest level that is quick to work on. */
export function quickLevel(cage: CageArrays, most = 150_000): number {
  const counts = pointCounts(cage);
  for (let level = deepest; level > 1; level--) if (counts[level] <= most) return level;
  return 1;
}

const bytes = 12;

/** What a level comes to, in words: its points, what it takes in memory, and whether that is much. */
export function levelWords(cage: CageArrays, level: number, depth: number, brushing = true): string {
  const points = pointCounts(cage)[level];
  if (points === undefined) return `There are levels 1 to ${deepest}.`;
  const size = (points * bytes) / 1e6;
  const memory = size < 0.1 ? "under 0.1 MB" : `${size < 10 ? size.toFixed(1) : Math.round(size)} MB`;
  const count = `Level ${level}: ${points.toLocaleString("en")} points, ${memory}`;
  if (points > mostPoints) return `${count}: more than a piece can have (${mostPoints.toLocaleString("en")}).`;
  const here = level <= depth || !brushing ? "" : depth ? `, begun with the first stroke (there are ${depth} now)` : ", begun with the first stroke";
  const slow = points > slowPoints ? " Strokes may lag behind the hand." : "";
  return `${count}${here}.${slow}`;
}
