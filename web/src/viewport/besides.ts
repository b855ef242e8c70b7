/** Which triangles of what is drawn lie right beside a vertex, an edge, or the middle of a face. */
import type { CageArrays, Kind, SurfaceArrays } from "../model/types";

/** Which corners of faces there are at each vertex: corner c is that of `face_verts[c]`. */
interface Corners {
  starts: Int32Array;
  corners: Int32Array;
}

const known = new WeakMap<Int32Array, Corners>();

function cornersOf({ face_verts, positions }: CageArrays): Corners {
  const before = known.get(face_verts);
  if (before) return before;
  const starts = new Int32Array(positions.length / 3 + 1);
  for (const v of face_verts) starts[v + 1] += 1;
  for (let v = 1; v < starts.length; v++) starts[v] += starts[v - 1];
  const next = starts.slice();
  const corners = new Int32Array(face_verts.length);
  face_verts.forEach((v, c) => (corners[next[v]++] = c));
  known.set(face_verts, { starts, corners });
  return { starts, corners };
}

const cornersAt = (cage: CageArrays, vertex: number): Int32Array => {
  const { starts, corners } = cornersOf(cage);
  return corners.subarray(starts[vertex], starts[vertex + 1]);
};

/** The corners that an edge begins at, in each of its faces. */
function cornersOfEdge(cage: CageArrays, edge: number): number[] {
  const [a, b] = cage.edge_verts.subarray(2 * edge, 2 * edge + 2);
  const found: number[] = [];
  for (const face of cage.edge_faces.subarray(2 * edge, 2 * edge + 2)) {
    if (face < 0) continue;
    const [first, end] = [cage.face_offsets[face], cage.face_offsets[face + 1]];
    for (let c = first; c < end; c++) {
      const [from, to] = [cage.face_verts[c], cage.face_verts[c + 1 < end ? c + 1 : first]];
      if ((from === a && to === b) || (from === b && to === a)) found.push(c);
    }
  }
  return found;
}

/** The dense quad at corner k of the quad of level 1 that corner c of the cage became (see denseLines). */
function quadAt(c: number, k: number, level: number): number {
  return level < 2 ? c : (4 * c + k) << (2 * (level - 2));
}

/** Dense quads right beside an element: at a vertex, on both sides of an edge's middle, at a face's middle. */
export function quadsBeside(cage: CageArrays, { level }: SurfaceArrays, kind: Kind, id: number): number[] {
  if (kind === "vertex") return Array.from(cornersAt(cage, id), (c) => quadAt(c, 0, level));
  if (kind === "edge") return cornersOfEdge(cage, id).map((c) => quadAt(c, 1, level));
  return [quadAt(cage.face_offsets[id], 2, level)];
}

/** A point right beside an element on one of the cage's triangles, which are fans from the first corner of each face. */
export interface Beside {
  face: number;
  vertices: [number, number, number];
  weights: [number, number, number];
}

const near: Record<"vertex" | "edge" | "face", [number, number, number]> = {
  vertex: [0.94, 0.03, 0.03], edge: [0.47, 0.47, 0.06], face: [0.34, 0.33, 0.33],
};

export function cageBeside(cage: CageArrays, kind: Kind, id: number): Beside[] {
  const { face_verts, face_offsets } = cage;
  const faces =
    kind === "vertex" ? cornersAt(cage, id) : kind === "edge" ? cornersOfEdge(cage, id) : [face_offsets[id]];
  const meant = kind === "vertex" ? [id] : kind === "edge" ? [...cage.edge_verts.subarray(2 * id, 2 * id + 2)] : [];
  const found: Beside[] = [];
  for (const corner of faces) {
    const face = upperBound(face_offsets, corner) - 1;
    const [first, end] = [face_offsets[face], face_offsets[face + 1]];
    for (let c = first + 1; c + 1 < end; c++) {
      const triangle = [face_verts[first], face_verts[c], face_verts[c + 1]];
      if (!meant.every((v) => triangle.includes(v))) continue;
      const others = triangle.filter((v) => !meant.includes(v));
      found.push({ face, vertices: [...meant, ...others] as Beside["vertices"], weights: near[kind === "piece" ? "face" : kind] });
    }
  }
  return found;
}

/** The place of the first offset that is greater. */
function upperBound(offsets: Int32Array, value: number): number {
  let [low, high] = [0, offsets.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (offsets[middle] <= value) low = middle + 1;
    else high = middle;
  }
  return low;
}
