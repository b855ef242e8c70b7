/** Lines of the dense surface: isolines by the level at which they first appear, and the wireframe of a coarser level.
 *
 * The faces of level k are numbered so that face q has the children 4q to 4q + 3, one for each corner; the child's first
 * and last edge lie along the parent's, the other two are new. All that is needed follows from that.
 */
import type { SurfaceArrays } from "../model/types";

/** The level at which the line of edge k of dense face q first appears; 0 for the cage's own edges. */
function rank(q: number, k: number, level: number): number {
  while (k === 0 || k === 3) {
    if (level === 1) return 0;
    k = k === 0 ? q & 3 : ((q & 3) + 3) & 3;
    q >>= 2;
    level -= 1;
  }
  return level;
}

/** Pairs of rows along all lines that appear up to a level. */
export function isolines(surface: SurfaceArrays, upTo: number): Uint32Array<ArrayBuffer> {
  const pairs: number[] = [];
  const { quads, level } = surface;
  for (let q = 0; q < quads.length / 4; q++)
    for (const k of upTo >= level ? [0, 1, 2, 3] : [0, 3])
      if (rank(q, k, level) <= upTo) pairs.push(quads[4 * q + k], quads[4 * q + ((k + 1) & 3)]);
  return new Uint32Array(pairs);
}

/** The faces of level `of`, each by its four rows. */
export function coarser({ quads, level }: SurfaceArrays, of: number): Int32Array {
  const shift = 2 * (level - Math.min(of, level));
  if (shift === 0) return quads;
  const found = new Int32Array(4 * ((quads.length / 4) >> shift));
  for (let i = 0; i < found.length; i++) found[i] = quads[4 * (i << (shift - 2))];
  return found;
}

/** Pairs of rows along the edges of the faces of level `of`, straight from vertex to vertex. */
export function wireframe(surface: SurfaceArrays, of: number): Uint32Array<ArrayBuffer> {
  const faces = coarser(surface, of);
  const pairs = new Uint32Array(2 * faces.length);
  for (let i = 0; i < faces.length; i++) {
    pairs[2 * i] = faces[i];
    pairs[2 * i + 1] = faces[(i & ~3) | ((i + 1) & 3)];
  }
  return pairs;
}
