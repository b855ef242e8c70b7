/** Measures of a selection that the viewport and the fact strip need: its vertices, middle and mean normal. */
import { Box3, Vector3 } from "three";
import type { CageArrays, Kind } from "../live/types";

const point = (cage: CageArrays, v: number) =>
  new Vector3(cage.positions[3 * v], cage.positions[3 * v + 1], cage.positions[3 * v + 2]);

const facePoints = (cage: CageArrays, face: number) =>
  [...cage.face_verts.subarray(cage.face_offsets[face], cage.face_offsets[face + 1])].map((v) => point(cage, v));

export function verticesOf(cage: CageArrays, kind: Kind, ids: number[]): number[] {
  if (kind === "vertex") return ids;
  const found = new Set<number>();
  for (const id of ids) {
    const verts =
      kind === "edge"
        ? cage.edge_verts.subarray(2 * id, 2 * id + 2)
        : cage.face_verts.subarray(cage.face_offsets[id], cage.face_offsets[id + 1]);
    for (const v of verts) found.add(v);
  }
  return [...found];
}

export function boxOf(cage: CageArrays, vertices: Iterable<number>): Box3 {
  const box = new Box3();
  for (const v of vertices) box.expandByPoint(point(cage, v));
  return box;
}

/** The area-weighted mean normal of the faces in, or touching, a selection; zero where they cancel out. */
export function meanNormal(cage: CageArrays, kind: Kind, ids: number[]): Vector3 {
  const total = new Vector3();
  for (const face of facesAt(cage, kind, ids)) total.add(areaVector(facePoints(cage, face)));
  return total.lengthSq() > 1e-12 ? total.normalize() : total.set(0, 0, 0);
}

function facesAt(cage: CageArrays, kind: Kind, ids: number[]): Iterable<number> {
  if (kind === "face") return ids;
  const found = new Set<number>();
  if (kind === "edge") for (const e of ids) for (const f of cage.edge_faces.subarray(2 * e, 2 * e + 2)) found.add(f);
  else {
    const wanted = new Set(ids);
    for (let f = 0; f + 1 < cage.face_offsets.length; f++)
      for (const v of cage.face_verts.subarray(cage.face_offsets[f], cage.face_offsets[f + 1]))
        if (wanted.has(v)) found.add(f);
  }
  found.delete(-1);
  return found;
}

function areaVector(points: Vector3[]): Vector3 {
  const total = new Vector3();
  for (let i = 1; i + 1 < points.length; i++)
    total.add(points[i].clone().sub(points[0]).cross(points[i + 1].clone().sub(points[0])));
  return total.multiplyScalar(0.5);
}

/** One telling figure of a selection: a position, a total length, or a total area. */
export function figure(cage: CageArrays, kind: Kind, ids: number[]): string {
  if (!ids.length) return "";
  if (kind === "vertex") {
    const p = boxOf(cage, ids).getCenter(new Vector3());
    const words = [p.x, p.y, p.z].map((x) => x.toFixed(2)).join(", ");
    return ids.length === 1 ? `at ${words} mm` : `middle at ${words} mm`;
  }
  if (kind === "edge") {
    let length = 0;
    for (const e of ids) {
      const [a, b] = cage.edge_verts.subarray(2 * e, 2 * e + 2);
      length += point(cage, a).distanceTo(point(cage, b));
    }
    return `length ${length.toFixed(2)} mm`;
  }
  let area = 0;
  for (const f of ids) area += areaVector(facePoints(cage, f)).length();
  return `cage area ${area.toFixed(1)} mm²`;
}
