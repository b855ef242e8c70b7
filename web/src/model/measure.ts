/** Measures of a selection: its vertices, middle, mean normal and axes, and its figures in words. */
import type { CageArrays, Kind } from "./types";
import { areaWords, lengthsWords, lengthWords, trimmed, type Unit } from "./units";
import {
  across, apart, axisVec, type Box, boxAround, cross, degreesBetween, dot, type Frame, length, middleOfBox, minus, plus, pointAt, unit, type Vec,
} from "./vec";

const nothing: Vec = [0, 0, 0];

const facePoints = (cage: CageArrays, face: number): Vec[] =>
  [...cage.face_verts.subarray(cage.face_offsets[face], cage.face_offsets[face + 1])].map((v) => pointAt(cage.positions, v));

export const vertexCount = (cage: CageArrays): number => cage.positions.length / 3;
export const faceCount = (cage: CageArrays): number => cage.face_offsets.length - 1;
export const allVertices = (cage: CageArrays): number[] => [...Array(vertexCount(cage)).keys()];

export function verticesOf(cage: CageArrays, kind: Kind, ids: number[]): number[] {
  if (kind === "vertex") return ids;
  if (kind === "piece") return ids.length ? allVertices(cage) : [];
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

function* pointsOf(cage: CageArrays, vertices: Iterable<number>): Iterable<Vec> {
  for (const v of vertices) yield pointAt(cage.positions, v);
}

/** The box around some vertices; null around none. */
export const boxOf = (cage: CageArrays, vertices: Iterable<number>): Box | null => boxAround(pointsOf(cage, vertices));

/** The middle of the box around what is picked. */
export function middleOf(cage: CageArrays, kind: Kind, ids: number[]): Vec {
  const box = boxOf(cage, verticesOf(cage, kind, ids));
  return box ? middleOfBox(box) : [...nothing];
}

/** The area-weighted mean normal of the faces in, or touching, a selection; nought where they cancel out. */
export function meanNormal(cage: CageArrays, kind: Kind, ids: number[]): Vec {
  let total = nothing;
  for (const face of facesAt(cage, kind, ids)) total = plus(total, areaVector(facePoints(cage, face)));
  return dot(total, total) > 1e-12 ? unit(total) : [...nothing];
}

function facesAt(cage: CageArrays, kind: Kind, ids: number[]): Iterable<number> {
  if (kind === "face") return ids;
  if (kind === "piece") return ids.length ? [...Array(faceCount(cage)).keys()] : [];
  const found = new Set<number>();
  if (kind === "edge") for (const e of ids) for (const f of cage.edge_faces.subarray(2 * e, 2 * e + 2)) found.add(f);
  else {
    const wanted = new Set(ids);
    for (let f = 0; f < faceCount(cage); f++)
      for (const v of cage.face_verts.subarray(cage.face_offsets[f], cage.face_offsets[f + 1]))
        if (wanted.has(v)) found.add(f);
  }
  found.delete(-1);
  return found;
}

function areaVector(points: Vec[]): Vec {
  let total = nothing;
  for (let i = 1; i + 1 < points.length; i++)
    total = plus(total, cross(minus(points[i], points[0]), minus(points[i + 1], points[0])), 0.5);
  return total;
}

/** A face's middle, unit normal and area. */
export function faceNormal(cage: CageArrays, face: number): { middle: Vec; normal: Vec; area: number } {
  const points = facePoints(cage, face);
  const middle = points.reduce((sum, p) => plus(sum, p, 1 / points.length), nothing);
  const vector = areaVector(points);
  return { middle, normal: unit(vector), area: length(vector) };
}

/** The frame of a selection: z along its mean normal, x along the longest edge direction in the plane. */
export function selectionFrame(cage: CageArrays, kind: Kind, ids: number[]): Frame | null {
  const up = meanNormal(cage, kind, ids);
  if (dot(up, up) === 0) return null;
  const verts = verticesOf(cage, kind, ids);
  let best = nothing;
  for (let i = 1; i < verts.length; i++) {
    const side = across(minus(pointAt(cage.positions, verts[i]), pointAt(cage.positions, verts[0])), up);
    if (dot(side, side) > dot(best, best)) best = side;
  }
  return frameOf(up, best);
}

/** The frame of an edge: x along it, z along the mean normal of its faces. */
export function edgeFrame(cage: CageArrays, edge: number): Frame {
  const [a, b] = cage.edge_verts.subarray(2 * edge, 2 * edge + 2);
  const along = unit(minus(pointAt(cage.positions, b), pointAt(cage.positions, a)));
  const up = across(meanNormal(cage, "edge", [edge]), along);
  return frameOf(dot(up, up) > 1e-12 ? unit(up) : anySquare(along), along);
}

function frameOf(up: Vec, along: Vec): Frame {
  const flat = across(along, up);
  const x = unit(dot(flat, flat) < 1e-12 ? anySquare(up) : flat);
  return [x, cross(up, x), up];
}

const anySquare = (to: Vec): Vec => unit(across(axisVec(Math.abs(to[0]) < 0.9 ? 0 : 1), to));

/** The telling figures of a selection: a position; length and angle; or area. */
export function figure(cage: CageArrays, kind: Kind, ids: number[], shownIn: Unit): string {
  if (!ids.length) return "";
  if (kind === "vertex") return vertexFigure(cage, ids, shownIn);
  if (kind === "edge") return edgeFigure(cage, ids, shownIn);
  const faces = [...facesAt(cage, kind, ids)];
  if (!faces.length) return "";
  const area = faces.reduce((sum, f) => sum + length(areaVector(facePoints(cage, f))), 0);
  const words = `cage area ${areaWords(area, shownIn)}`;
  if (kind !== "face" || ids.length !== 2) return words;
  const [a, b] = ids.map((f) => faceNormal(cage, f).normal);
  return `${words}, angle between ${trimmed(degreesBetween(a, b), 2)}°`;
}

function vertexFigure(cage: CageArrays, ids: number[], shownIn: Unit): string {
  const words = lengthsWords(middleOf(cage, "vertex", ids), shownIn, ", ");
  if (ids.length === 1) return `at ${words}`;
  if (ids.length !== 2) return `middle at ${words}`;
  const [a, b] = ids.map((v) => pointAt(cage.positions, v));
  return `${lengthWords(apart(a, b), shownIn)} apart, middle at ${words}`;
}

function edgeFigure(cage: CageArrays, ids: number[], shownIn: Unit): string {
  const spans = ids.map((e) => {
    const [a, b] = cage.edge_verts.subarray(2 * e, 2 * e + 2);
    return minus(pointAt(cage.positions, b), pointAt(cage.positions, a));
  });
  const lengths = spans.map(length);
  const total = lengths.reduce((sum, x) => sum + x, 0);
  if (ids.length === 1) return `length ${lengthWords(total, shownIn)}`;
  const common = lengths.every((x) => Math.abs(x - lengths[0]) < 1e-6 * Math.max(lengths[0], 1e-9));
  const each = common ? `, each ${lengthWords(lengths[0], shownIn)}` : "";
  if (ids.length !== 2) return `length ${lengthWords(total, shownIn)}${each}`;
  const angle = degreesBetween(spans[0], spans[1]);
  return `length ${lengthWords(total, shownIn)}${each}, angle ${trimmed(Math.min(angle, 180 - angle), 2)}°`;
}

/** The middle of several cages together; null of none. */
export function middleOfCages(cages: (CageArrays | undefined)[]): Vec | null {
  const box = boxAround(cages.flatMap((cage) => (cage ? [...pointsOf(cage, allVertices(cage))] : [])));
  return box && middleOfBox(box);
}

