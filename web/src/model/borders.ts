/** What a cage's open border and its picked elements suggest. */
import type { AxisPlane } from "./context";
import type { CageArrays, Kind } from "./types";
import { apart, type Vec } from "./vec";
import { middleOf } from "./measure";

/** The plane across an axis that most of an open border lies in, where the form lies wholly on one side of it: half of a form. */
export function flatBorder(cage: CageArrays | undefined): AxisPlane | null {
  if (!cage) return null;
  const { positions, edge_verts, edge_open } = cage;
  const open = edge_open.reduce((sum, one) => sum + (one ? 1 : 0), 0);
  let best: (AxisPlane & { edges: number }) | null = null;
  for (const axis of [0, 1, 2] as const) {
    const along = (v: number) => positions[3 * v + axis];
    const all = Array.from({ length: positions.length / 3 }, (_, v) => along(v));
    const [low, high] = [Math.min(...all), Math.max(...all)];
    const near = 1e-6 * Math.max(high - low, 1e-9);
    for (const at of [low, high]) {
      let edges = 0;
      for (let e = 0; e < edge_open.length; e++)
        if (edge_open[e] && Math.abs(along(edge_verts[2 * e]) - at) < near && Math.abs(along(edge_verts[2 * e + 1]) - at) < near) edges += 1;
      // An open rim that lies level is a vessel's, unless it lies in the ground plane; flat as a whole it is no half either.
      const isRim = axis === 2 && Math.abs(at) > near;
      if (!isRim && edges > 1 && edges > 0.75 * open && high - low > near && (!best || edges > best.edges)) best = { axis, at, edges };
    }
  }
  return best && { axis: best.axis, at: best.at };
}

/** The rows and columns of a grid of picked faces, as the edges of its first face run; null where they are no single grid. */
export function gridOf(cage: CageArrays, faces: number[]): { u: number; v: number } | null {
  const { face_verts, face_offsets, edge_verts, edge_faces } = cage;
  const picked = new Set(faces);
  if (!faces.length || faces.some((f) => face_offsets[f + 1] - face_offsets[f] !== 4)) return null;
  const edgeOf = new Map<string, number>();
  const name = (a: number, b: number) => (a < b ? `${a} ${b}` : `${b} ${a}`);
  for (let e = 0; 2 * e < edge_verts.length; e++) edgeOf.set(name(edge_verts[2 * e], edge_verts[2 * e + 1]), e);
  /** How many of the picked lie in a row through a face, across its edges k and k + 2. */
  const run = (face: number, k: number): number => {
    let count = 1;
    for (const start of [k, k + 2]) {
      let [at, side] = [face, start];
      const seen = new Set([face]);
      for (;;) {
        const first = face_offsets[at];
        const [a, b] = [face_verts[first + (side & 3)], face_verts[first + ((side + 1) & 3)]];
        const edge = edgeOf.get(name(a, b));
        if (edge === undefined) break;
        const [f, g] = edge_faces.subarray(2 * edge, 2 * edge + 2);
        const next = f === at ? g : f;
        if (next < 0 || !picked.has(next) || seen.has(next)) break;
        seen.add(next);
        count += 1;
        const from = face_offsets[next];
        const here = [0, 1, 2, 3].find((i) => name(face_verts[from + i], face_verts[from + ((i + 1) & 3)]) === name(a, b)) ?? 0;
        [at, side] = [next, here + 2];
      }
    }
    return count;
  };
  const first = Math.min(...faces);
  const [v, u] = [run(first, 0), run(first, 1)];
  return u * v === faces.length ? { u, v } : null;
}

/** Between two ends so many segments that each is about as long as the edges at them; fewer than three bend badly. */
export function segmentsBetween(ends: { cage: CageArrays; kind: Kind; ids: number[] }[]): number | null {
  if (ends.length !== 2) return null;
  const [a, b] = ends.map(({ cage, kind, ids }): Vec => middleOf(cage, kind, ids));
  const lengths = ends.flatMap(({ cage, kind, ids }) => edgesAt(cage, kind, ids));
  if (!lengths.length) return null;
  const mean = lengths.reduce((sum, x) => sum + x, 0) / lengths.length;
  return mean > 0 ? Math.max(3, Math.min(32, Math.round(apart(a, b) / mean))) : null;
}

function edgesAt({ positions, edge_verts, edge_faces }: CageArrays, kind: Kind, ids: number[]): number[] {
  const picked = new Set(ids);
  const point = (v: number): Vec => [positions[3 * v], positions[3 * v + 1], positions[3 * v + 2]];
  const found: number[] = [];
  for (let e = 0; 2 * e < edge_verts.length; e++)
    if (kind === "edge" ? picked.has(e) : picked.has(edge_faces[2 * e]) || picked.has(edge_faces[2 * e + 1]))
      found.push(apart(point(edge_verts[2 * e]), point(edge_verts[2 * e + 1])));
  return found;
}

/** Picked faces, or edges, as their connected groups. */
export function groupsOf(cage: CageArrays, kind: Kind, ids: number[]): number[][] {
  const left = new Set(ids);
  const { edge_faces, edge_verts } = cage;
  const beside = new Map<number, number[]>();
  const join = (a: number, b: number) => void (beside.get(a)?.push(b) ?? beside.set(a, [b]));
  if (kind === "face")
    for (let e = 0; 2 * e < edge_faces.length; e++) {
      const [f, g] = edge_faces.subarray(2 * e, 2 * e + 2);
      if (left.has(f) && left.has(g)) {
        join(f, g);
        join(g, f);
      }
    }
  else {
    const at = new Map<number, number>();
    for (const e of ids)
      for (const v of edge_verts.subarray(2 * e, 2 * e + 2)) {
        const other = at.get(v);
        if (other === undefined) at.set(v, e);
        else {
          join(e, other);
          join(other, e);
        }
      }
  }
  const groups: number[][] = [];
  for (const start of ids) {
    if (!left.delete(start)) continue;
    const group = [start];
    for (const one of group) for (const next of beside.get(one) ?? []) if (left.delete(next)) group.push(next);
    groups.push(group);
  }
  return groups;
}
