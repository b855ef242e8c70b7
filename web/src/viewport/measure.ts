/** Measures of a selection that the viewport and the fact strip need: its vertices, middle and mean normal. */
import { Box3, Vector3 } from "three";
import type { Frame } from "../live/look";
import type { CageArrays, Kind } from "../live/types";
import { areaWords, lengthsWords, lengthWords, trimmed, type Unit } from "../live/units";

const point = (cage: CageArrays, v: number) =>
  new Vector3(cage.positions[3 * v], cage.positions[3 * v + 1], cage.positions[3 * v + 2]);

const facePoints = (cage: CageArrays, face: number) =>
  [...cage.face_verts.subarray(cage.face_offsets[face], cage.face_offsets[face + 1])].map((v) => point(cage, v));

export function verticesOf(cage: CageArrays, kind: Kind, ids: number[]): number[] {
  if (kind === "vertex") return ids;
  if (kind === "piece") return ids.length ? [...Array(cage.positions.length / 3).keys()] : [];
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
  if (kind === "piece") return ids.length ? [...Array(cage.face_offsets.length - 1).keys()] : [];
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

/** A face's middle, unit normal and area. */
export function faceNormal(cage: CageArrays, face: number): { middle: Vector3; normal: Vector3; area: number } {
  const points = facePoints(cage, face);
  const middle = points.reduce((sum, p) => sum.add(p), new Vector3()).multiplyScalar(1 / points.length);
  const vector = areaVector(points);
  const area = vector.length();
  return { middle, normal: vector.normalize(), area };
}

/** The middle of one element. */
export function middleOf(cage: CageArrays, kind: Kind, ids: number[]): Vector3 {
  return boxOf(cage, verticesOf(cage, kind, ids)).getCenter(new Vector3());
}

/** The frame of a selection: z along its mean normal, x along the longest edge direction in the plane. */
export function selectionFrame(cage: CageArrays, kind: Kind, ids: number[]): Frame | null {
  const up = meanNormal(cage, kind, ids);
  if (up.lengthSq() === 0) return null;
  const verts = verticesOf(cage, kind, ids);
  let best = new Vector3();
  for (let i = 1; i < verts.length; i++) {
    const side = point(cage, verts[i]).sub(point(cage, verts[0])).projectOnPlane(up);
    if (side.lengthSq() > best.lengthSq()) best = side;
  }
  return frameOf(up, best);
}

/** The frame of an edge: x along it, z along the mean normal of its faces. */
export function edgeFrame(cage: CageArrays, edge: number): Frame {
  const [a, b] = cage.edge_verts.subarray(2 * edge, 2 * edge + 2);
  const along = point(cage, b).sub(point(cage, a)).normalize();
  const up = meanNormal(cage, "edge", [edge]).projectOnPlane(along);
  return frameOf(up.lengthSq() > 1e-12 ? up.normalize() : anySquare(along), along);
}

function frameOf(up: Vector3, along: Vector3): Frame {
  const x = along.clone().projectOnPlane(up);
  if (x.lengthSq() < 1e-12) x.copy(anySquare(up));
  x.normalize();
  const y = up.clone().cross(x);
  return [x.toArray(), y.toArray(), up.toArray()] as Frame;
}

function anySquare(to: Vector3): Vector3 {
  const other = Math.abs(to.x) < 0.9 ? new Vector3(1, 0, 0) : new Vector3(0, 1, 0);
  return other.projectOnPlane(to).normalize();
}

/** The telling figures of a selection: a position; length and angle; or area. */
export function figure(cage: CageArrays, kind: Kind, ids: number[], unit: Unit): string {
  if (!ids.length) return "";
  if (kind === "vertex") {
    const words = lengthsWords(boxOf(cage, ids).getCenter(new Vector3()).toArray(), unit, ", ");
    if (ids.length === 2) {
      const apart = point(cage, ids[0]).distanceTo(point(cage, ids[1]));
      return `${lengthWords(apart, unit)} apart, middle at ${words}`;
    }
    return ids.length === 1 ? `at ${words}` : `middle at ${words}`;
  }
  if (kind === "edge") {
    const spans = ids.map((e) => {
      const [a, b] = cage.edge_verts.subarray(2 * e, 2 * e + 2);
      return point(cage, b).sub(point(cage, a));
    });
    const lengths = spans.map((s) => s.length());
    const total = lengths.reduce((sum, x) => sum + x, 0);
    const common = lengths.every((x) => Math.abs(x - lengths[0]) < 1e-6 * Math.max(lengths[0], 1e-9));
    if (ids.length === 1) return `length ${lengthWords(total, unit)}`;
    const each = common ? `, each ${lengthWords(lengths[0], unit)}` : "";
    if (ids.length !== 2) return `length ${lengthWords(total, unit)}${each}`;
    const angle = (spans[0].angleTo(spans[1]) * 180) / Math.PI;
    return `length ${lengthWords(total, unit)}${each}, angle ${trimmed(Math.min(angle, 180 - angle), 2)}°`;
  }
  const faces = [...facesAt(cage, kind, ids)];
  const area = faces.reduce((sum, f) => sum + areaVector(facePoints(cage, f)).length(), 0);
  const words = `cage area ${areaWords(area, unit)}`;
  if (kind !== "face" || ids.length !== 2) return words;
  const [a, b] = ids.map((f) => faceNormal(cage, f).normal);
  return `${words}, angle between ${trimmed((a.angleTo(b) * 180) / Math.PI, 2)}°`;
}
