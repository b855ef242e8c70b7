/** What lies under the pointer, or in a box: by distance in pixels for vertices and edges, by ray for faces. */
import { type Camera, DoubleSide, Matrix4, type Plane, Ray, Vector3 } from "three";
import type { CageArrays, Kind } from "../model/types";
import { meanNormal } from "../model/measure";
import { withinLine } from "../model/vec";
import type { PieceView } from "./pieceView";
import type { MeshBVH } from "three-mesh-bvh";

export const reachInPixels = 12;

export interface Screen {
  camera: Camera;
  width: number;
  height: number;
  /** What the view turns about, and the direction towards the eye. */
  middle: Vector3;
  back: Vector3;
}

export interface Hit {
  piece: string;
  kind: Kind;
  id: number;
}

export class Picker {
  private readonly toScreen = new Matrix4();

  constructor(
    private readonly screen: Screen,
    private readonly views: PieceView[],
    private readonly through: boolean,
    private readonly planes: Plane[] = [],
  ) {
    this.toScreen.multiplyMatrices(screen.camera.projectionMatrix, screen.camera.matrixWorldInverse);
  }

  get view(): { middle: Vector3; back: Vector3 } {
    return this.screen;
  }

  /** Whether the section has cut a place away. */
  private isCut(point: Vector3): boolean {
    return this.planes.some((plane) => plane.distanceToPoint(point) < 0);
  }

  /** The first place where a ray meets what the section leaves. */
  private first(tree: MeshBVH, ray: Ray): { point: Vector3; distance: number; faceIndex?: number | null } | null {
    if (!this.planes.length) return tree.raycastFirst(ray, DoubleSide);
    const hits = tree.raycast(ray, DoubleSide).filter((hit) => !this.isCut(hit.point));
    return hits.reduce<(typeof hits)[number] | null>((best, hit) => (best && best.distance <= hit.distance ? best : hit), null);
  }

  ray(x: number, y: number): Ray {
    const { camera, width, height } = this.screen;
    const at = (z: number) =>
      new Vector3((2 * x) / width - 1, 1 - (2 * y) / height, z).applyMatrix4(camera.projectionMatrixInverse);
    const near = at(-1).applyMatrix4(camera.matrixWorld);
    const far = at(1).applyMatrix4(camera.matrixWorld);
    return new Ray(near, far.sub(near).normalize());
  }

  /** In pixels from the upper left corner, with its depth as z. */
  onScreen(point: Vector3): Vector3 {
    const { width, height } = this.screen;
    const p = point.clone().applyMatrix4(this.toScreen);
    return p.set(((p.x + 1) / 2) * width, ((1 - p.y) / 2) * height, p.z);
  }

  at(kind: Kind, x: number, y: number): Hit | null {
    if (kind === "face") return this.faceAt(x, y);
    if (kind === "piece") {
      const hit = this.faceAt(x, y) ?? this.at("edge", x, y);
      return hit && { ...hit, kind, id: 0 };
    }
    let best: { hit: Hit; distance: number; depth: number } | null = null;
    for (const view of this.views) {
      const points = this.points(view);
      const near: { id: number; distance: number; depth: number; at: Vector3 }[] = [];
      const { edge_verts } = view.arrays.cage;
      if (kind === "vertex")
        for (let v = 0; v < points.length; v++) {
          const distance = Math.hypot(points[v].x - x, points[v].y - y);
          if (distance < reachInPixels) near.push({ id: v, distance, depth: points[v].z, at: position(view, v) });
        }
      else
        for (let e = 0; e < edge_verts.length / 2; e++) {
          const [a, b] = [edge_verts[2 * e], edge_verts[2 * e + 1]];
          const { distance, along } = toSegment(x, y, points[a], points[b]);
          if (distance >= reachInPixels) continue;
          const depth = points[a].z + along * (points[b].z - points[a].z);
          near.push({ id: e, distance, depth, at: position(view, a).lerp(position(view, b), along) });
        }
      near.sort((a, b) => a.distance - b.distance || a.depth - b.depth);
      const first = near.find((found) => !this.isCut(found.at) && (this.through || this.isSeen(view, found.at)));
      if (first && (!best || first.distance < best.distance))
        best = { hit: { piece: view.id, kind, id: first.id }, distance: first.distance, depth: first.depth };
    }
    return best?.hit ?? null;
  }

  vertex(piece: string, id: number): Vector3 {
    const view = this.views.find((one) => one.id === piece);
    if (!view) throw new Error(`The piece ${piece} is not shown.`);
    return position(view, id);
  }

  /** The nearest point of an edge of a cage under the pointer; of open edges only, where asked so. */
  edgePoint(x: number, y: number, openOnly: boolean): { piece: string; vertices: number[]; point: Vector3 } | null {
    const hit = this.at("edge", x, y);
    const view = hit && this.views.find((v) => v.id === hit.piece);
    if (!hit || !view) return null;
    const { cage } = view.arrays;
    if (openOnly && !cage.edge_open[hit.id]) return null;
    const [a, b] = cage.edge_verts.subarray(2 * hit.id, 2 * hit.id + 2);
    const points = this.points(view);
    const { along } = toSegment(x, y, points[a], points[b]);
    return { piece: view.id, vertices: [a, b], point: position(view, a).lerp(position(view, b), along) };
  }

  /** The edge of a face, or at a vertex, that lies nearest to the pointer: it gives loops their direction. */
  edgeNearest(kind: Kind, piece: string, id: number, x: number, y: number): number | null {
    const view = this.views.find((v) => v.id === piece);
    if (!view) return null;
    const { cage } = view.arrays;
    const points = this.points(view);
    let best: { edge: number; distance: number } | null = null;
    for (let e = 0; e < cage.edge_verts.length / 2; e++) {
      const [a, b] = cage.edge_verts.subarray(2 * e, 2 * e + 2);
      const own = kind === "vertex" ? a === id || b === id : cage.edge_faces[2 * e] === id || cage.edge_faces[2 * e + 1] === id;
      if (!own) continue;
      const { distance } = toSegment(x, y, points[a], points[b]);
      if (!best || distance < best.distance) best = { edge: e, distance };
    }
    return best?.edge ?? null;
  }

  /** The point of a surface or cage under the pointer. */
  facePoint(x: number, y: number): { piece: string; face: number; point: Vector3; cage: CageArrays } | null {
    const ray = this.ray(x, y);
    const hit = this.faceAt(x, y);
    const view = hit && this.views.find((v) => v.id === hit.piece);
    if (!hit || !view) return null;
    const tree = view.display === "cage" ? view.cageRays : view.surfaceRays;
    const met = this.first(tree, ray) ?? this.first(view.cageRays, ray);
    return met && { piece: view.id, face: hit.id, point: met.point, cage: view.arrays.cage };
  }

  /** Elements of one piece within a closed line drawn on the screen: those whose middles lie inside. */
  inLasso(kind: Kind, view: PieceView, line: [number, number][]): number[] {
    const { cage } = view.arrays;
    const points = this.points(view);
    const found: number[] = [];
    const take = (id: number, verts: ArrayLike<number>) => {
      const all = Array.from(verts);
      const x = all.reduce((sum, v) => sum + points[v].x, 0) / all.length;
      const y = all.reduce((sum, v) => sum + points[v].y, 0) / all.length;
      if (!withinLine(x, y, line)) return;
      const middle = all.reduce((sum, v) => sum.addScaledVector(position(view, v), 1 / all.length), new Vector3());
      const seen = this.through || (kind === "face" ? this.looksHere(view, id, middle) : this.isSeen(view, middle));
      if (seen) found.push(id);
    };
    if (kind === "vertex") for (let v = 0; v < points.length; v++) take(v, [v]);
    else if (kind === "edge")
      for (let e = 0; e < cage.edge_verts.length / 2; e++) take(e, cage.edge_verts.subarray(2 * e, 2 * e + 2));
    else
      for (let f = 0; f + 1 < cage.face_offsets.length; f++)
        take(f, cage.face_verts.subarray(cage.face_offsets[f], cage.face_offsets[f + 1]));
    return kind === "piece" ? (found.length ? [0] : []) : found;
  }

  /** Elements of one piece in a box of pixels: wholly inside, or also those that it touches. */
  inBox(kind: Kind, view: PieceView, box: [number, number, number, number], touching: boolean): number[] {
    const [left, top, right, bottom] = box;
    const points = this.points(view);
    const inside = (v: number) =>
      points[v].x >= left && points[v].x <= right && points[v].y >= top && points[v].y <= bottom;
    const { cage } = view.arrays;
    const found: number[] = [];
    const take = (id: number, verts: number[], middle: Vector3) => {
      const taken = touching
        ? verts.some(inside) || (verts.length === 2 && segmentMeets(points[verts[0]], points[verts[1]], box))
        : verts.every(inside);
      if (taken && (this.through || this.isSeen(view, middle))) found.push(id);
    };
    if (kind === "vertex") for (let v = 0; v < points.length; v++) take(v, [v], position(view, v));
    else if (kind === "edge")
      for (let e = 0; e < cage.edge_verts.length / 2; e++) {
        const ends = [cage.edge_verts[2 * e], cage.edge_verts[2 * e + 1]];
        take(e, ends, position(view, ends[0]).lerp(position(view, ends[1]), 0.5));
      }
    else
      for (let f = 0; f + 1 < cage.face_offsets.length; f++) {
        const verts = [...cage.face_verts.subarray(cage.face_offsets[f], cage.face_offsets[f + 1])];
        const middle = new Vector3();
        for (const v of verts) middle.addScaledVector(position(view, v), 1 / verts.length);
        if (this.through || this.looksHere(view, f, middle)) take(f, verts, middle);
      }
    if (kind === "piece") return found.length && (touching || found.length === cage.face_offsets.length - 1) ? [0] : [];
    return found;
  }

  private faceAt(x: number, y: number): Hit | null {
    const ray = this.ray(x, y);
    let best: { hit: Hit; distance: number } | null = null;
    // Where surface and cage are both shown, the surface comes first and the cage fills in around it.
    for (const source of ["surface", "cage"] as const) {
      for (const view of this.views) {
        if (view.display !== "both" && view.display !== source) continue;
        const tree = source === "surface" ? view.surfaceRays : view.cageRays;
        const hit = this.first(tree, ray);
        if (!hit || (best && best.distance <= hit.distance)) continue;
        const triangle = hit.faceIndex ?? 0;
        const id = source === "surface" ? view.faceOfSurfaceTriangle(triangle) : view.faceOfCageTriangle(triangle);
        best = { hit: { piece: view.id, kind: "face", id }, distance: hit.distance };
      }
      if (best) return best.hit;
    }
    return null;
  }

  /** Whether a face turns its outside to the eye. */
  private looksHere(view: PieceView, face: number, middle: Vector3): boolean {
    const projected = middle.clone().applyMatrix4(this.toScreen);
    const ray = this.ray(((projected.x + 1) / 2) * this.screen.width, ((1 - projected.y) / 2) * this.screen.height);
    return new Vector3(...meanNormal(view.arrays.cage, "face", [face])).dot(ray.direction) < 0;
  }

  /** Whether nothing of any piece lies between the eye and a point. */
  private isSeen(of: PieceView, point: Vector3): boolean {
    const projected = point.clone().applyMatrix4(this.toScreen);
    const ray = this.ray(((projected.x + 1) / 2) * this.screen.width, ((1 - projected.y) / 2) * this.screen.height);
    const distance = ray.origin.distanceTo(point);
    for (const view of this.views) {
      const tree = view.display === "cage" ? view.cageRays : view.surfaceRays;
      const slack = view === of ? 1e-3 * distance : 0;
      const hit = this.first(tree, ray);
      if (hit && hit.distance < distance - slack) return false;
    }
    return true;
  }

  private points(view: PieceView): Vector3[] {
    return Array.from({ length: view.arrays.cage.positions.length / 3 }, (_, v) => this.onScreen(position(view, v)));
  }
}

function position(view: PieceView, vertex: number): Vector3 {
  // Where only the surface is shown, a control point is found where it pulls the surface: its limit position.
  const from = view.display === "surface" ? view.arrays.surface.positions : view.arrays.cage.positions;
  return new Vector3(from[3 * vertex], from[3 * vertex + 1], from[3 * vertex + 2]);
}

export function toSegment(x: number, y: number, a: Vector3, b: Vector3): { distance: number; along: number } {
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const length = dx * dx + dy * dy;
  const along = length ? Math.max(0, Math.min(1, ((x - a.x) * dx + (y - a.y) * dy) / length)) : 0;
  return { distance: Math.hypot(a.x + along * dx - x, a.y + along * dy - y), along };
}

function segmentMeets(a: Vector3, b: Vector3, [left, top, right, bottom]: [number, number, number, number]): boolean {
  let [enter, leave] = [0, 1];
  for (const [from, to, low, high] of [
    [a.x, b.x, left, right],
    [a.y, b.y, top, bottom],
  ]) {
    const d = to - from;
    if (d === 0) {
      if (from < low || from > high) return false;
      continue;
    }
    const [t0, t1] = d > 0 ? [(low - from) / d, (high - from) / d] : [(high - from) / d, (low - from) / d];
    enter = Math.max(enter, t0);
    leave = Math.min(leave, t1);
  }
  return enter <= leave;
}
