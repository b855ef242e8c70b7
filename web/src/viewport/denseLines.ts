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

/** Pairs of rows along the edges of the faces of level `of`, straight from vertex to vertex. */
export function wireframe(surface: SurfaceArrays, of: number): Uint32Array<ArrayBuffer> {
  const { quads, level } = surface;
  const shift = 2 * (level - Math.min(of, level));
  const pairs: number[] = [];
  for (let q = 0; q < (quads.length / 4) >> shift; q++) {
    const corner = (k: number) =>
      shift === 0 ? quads[4 * q + k] : quads[4 * ((4 * q + k) << (shift - 2))];
    for (let k = 0; k < 4; k++) pairs.push(corner(k), corner((k + 1) & 3));
  }
  return new Uint32Array(pairs);
}
