/** What lies under the pointer, or in a box: by distance in pixels for vertices and edges, by ray for faces. */
import { Matrix4, type Plane, Ray, Vector3 } from "three";
import type { MeshBVH } from "three-mesh-bvh";
import type { CageArrays, Kind } from "../model/types";
import { withinLine } from "../model/vec";
import type { CopyView } from "./copyView";
import type { PieceView } from "./pieceView";
import { projected } from "./projected";
import type { Screen } from "./screen";
import { pointOf, Sight } from "./sight";

export const reachInPixels = 12;

export interface Hit {
  piece: string;
  kind: Kind;
  id: number;
}

/** A dot or a line of the cage near the pointer: where along its ends, and how many pixels away. */
interface Near {
  id: number;
  distance: number;
  depth: number;
  ends: [number, number];
  along: number;
}

/** Of a piece's extent: a line that dips below the surface by no more is still drawn. */
const drawnInFront = 1e-3;

export class Picker {
  private readonly toScreen = new Matrix4();
  readonly sight: Sight;

  constructor(
    private readonly screen: Screen,
    private readonly views: PieceView[],
    private readonly through: boolean,
    planes: Plane[] = [],
    private readonly copies: CopyView[] = [],
  ) {
    this.sight = new Sight(screen, views, planes);
    this.toScreen.multiplyMatrices(screen.camera.projectionMatrix, screen.camera.matrixWorldInverse);
  }

  get middleOfScreen(): [number, number] {
    return [this.screen.width / 2, this.screen.height / 2];
  }

  get view(): { middle: Vector3; back: Vector3 } {
    return this.screen;
  }

  /** From the eye to a point. */
  rayTo(point: Vector3): Ray {
    const { x, y } = this.onScreen(point);
    return this.ray(x, y);
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

  /** What lies there; of vertices and edges none that `hidden` says is. */
  at(kind: Kind, x: number, y: number, hidden?: (at: Vector3) => boolean): Hit | null {
    if (kind === "face") return this.faceAt(x, y);
    if (kind === "piece") {
      const hit = this.copyAt(x, y) ?? this.faceAt(x, y) ?? this.at("edge", x, y) ?? this.curveAt(x, y);
      return hit && { ...hit, kind, id: 0 };
    }
    let best: { hit: Hit; distance: number } | null = null;
    for (const view of this.views) {
      if (!view.offersPoints) continue;
      const near = kind === "vertex" ? this.verticesNear(view, x, y) : this.edgesNear(view, x, y);
      near.sort((a, b) => a.distance - b.distance || a.depth - b.depth);
      const first = near.find((found) => this.canBeTaken(view, kind, found, hidden));
      if (first && (!best || first.distance < best.distance)) best = { hit: { piece: view.id, kind, id: first.id }, distance: first.distance };
    }
    return best?.hit ?? null;
  }

  /** The piece of which an image is met before anything else: images are taken as wholes only. */
  private copyAt(x: number, y: number): Hit | null {
    const met = this.imageAt(x, y);
    return met && { piece: met.piece, kind: "piece", id: 0 };
  }

  /** The image that is met before anything else: of which piece, the how manieth from 0, and where. */
  imageAt(x: number, y: number): { piece: string; image: number; point: Vector3 } | null {
    if (!this.copies.length) return null;
    const ray = this.ray(x, y);
    let best: { piece: string; image: number; distance: number } | null = null;
    for (const copy of this.copies) {
      const met = copy.meets(ray);
      if (met && (!best || met.distance < best.distance)) best = { piece: copy.id, ...met };
    }
    const front = best && this.views.map((view) => (view.hasFaces ? this.sight.first(view.surfaceRays, ray) : null));
    if (!best || front?.some((hit) => hit && hit.distance < best.distance)) return null;
    return { piece: best.piece, image: best.image, point: ray.at(best.distance, new Vector3()) };
  }

  /** The curve whose line runs nearest to the pointer. */
  private curveAt(x: number, y: number): Hit | null {
    let best: { hit: Hit; distance: number } | null = null;
    for (const view of this.views) {
      const points = view.arrays.line?.points ?? [];
      const seen: number[] = [];
      for (let i = 0; 3 * i < points.length; i++) seen.push(...this.onScreen(pointOf(points, i)).toArray());
      for (let i = 0; i + 1 < seen.length / 3; i++) {
        const { distance } = toSegment(x, y, seen, i, i + 1);
        if (distance < reachInPixels && (!best || distance < best.distance)) best = { hit: { piece: view.id, kind: "piece", id: 0 }, distance };
      }
    }
    return best?.hit ?? null;
  }

  private verticesNear(view: PieceView, x: number, y: number): Near[] {
    const points = projected(view, this.toScreen, this.screen);
    const near: Near[] = [];
    for (let v = 0; 3 * v < points.length; v++) {
      const distance = Math.hypot(points[3 * v] - x, points[3 * v + 1] - y);
      if (distance < reachInPixels) near.push({ id: v, distance, depth: points[3 * v + 2], ends: [v, v], along: 0 });
    }
    return near;
  }

  private edgesNear(view: PieceView, x: number, y: number): Near[] {
    const points = projected(view, this.toScreen, this.screen);
    const { edge_verts } = view.arrays.cage;
    const near: Near[] = [];
    for (let e = 0; 2 * e < edge_verts.length; e++) {
      const [a, b] = [edge_verts[2 * e], edge_verts[2 * e + 1]];
      const { distance, along } = toSegment(x, y, points, a, b);
      if (distance >= reachInPixels) continue;
      const depth = points[3 * a + 2] + along * (points[3 * b + 2] - points[3 * a + 2]);
      near.push({ id: e, distance, depth, ends: [a, b], along });
    }
    return near;
  }

  /** What is seen where the pointer is, as a line or dot of the cage, or as a place on the surface. */
  private canBeTaken(view: PieceView, kind: Kind, { id, ends, along }: Near, hidden?: (at: Vector3) => boolean): boolean {
    const at = position(view, ends[0]).lerp(position(view, ends[1]), along);
    if (this.sight.isCut(at) || hidden?.(at)) return false;
    // A curve often lies within what has grown from it; its line shows through.
    if (this.through || !view.hasFaces || this.sight.isOpen(view, at, drawnInFront)) return true;
    // A vertex that lies inside the surface is meant where it pulls; of an edge only the pointer's place counts.
    return kind === "vertex" && this.sight.sees(view, kind, id);
  }

  vertex(piece: string, id: number): Vector3 {
    const view = this.views.find((one) => one.id === piece);
    if (!view) throw new Error(`The piece ${piece} is not shown.`);
    return position(view, id);
  }

  /** The nearest point of an edge of a cage under the pointer; of open edges only, where asked so. */
  edgePoint(x: number, y: number, openOnly: boolean, hidden?: (at: Vector3) => boolean): { piece: string; vertices: number[]; point: Vector3 } | null {
    const hit = this.at("edge", x, y, hidden);
    const view = hit && this.views.find((v) => v.id === hit.piece);
    if (!hit || !view) return null;
    const { cage } = view.arrays;
    if (openOnly && !cage.edge_open[hit.id]) return null;
    const [a, b] = cage.edge_verts.subarray(2 * hit.id, 2 * hit.id + 2);
    const { along } = toSegment(x, y, projected(view, this.toScreen, this.screen), a, b);
    return { piece: view.id, vertices: [a, b], point: position(view, a).lerp(position(view, b), along) };
  }

  /** The edge of a face, or at a vertex, that lies nearest to the pointer: it gives loops their direction. */
  edgeNearest(kind: Kind, piece: string, id: number, x: number, y: number): number | null {
    const view = this.views.find((v) => v.id === piece);
    if (!view) return null;
    const { cage } = view.arrays;
    const points = projected(view, this.toScreen, this.screen);
    let best: { edge: number; distance: number } | null = null;
    for (let e = 0; e < cage.edge_verts.length / 2; e++) {
      const [a, b] = cage.edge_verts.subarray(2 * e, 2 * e + 2);
      const own = kind === "vertex" ? a === id || b === id : cage.edge_faces[2 * e] === id || cage.edge_faces[2 * e + 1] === id;
      if (!own) continue;
      const { distance } = toSegment(x, y, points, a, b);
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
    const met = this.sight.first(tree, ray) ?? this.sight.first(view.cageRays, ray);
    return met && { piece: view.id, face: hit.id, point: met.point, cage: view.arrays.cage };
  }

  /** Where the pointer meets a piece's surface, by the triangle of it; null where any surface lies in front. */
  onSurface(view: PieceView, x: number, y: number): { point: Vector3; triangle: number } | null {
    const ray = this.ray(x, y);
    const own = this.sight.first(view.surfaceRays, ray);
    const hidden = this.views.some((one) => {
      const met = one !== view && one.hasFaces ? this.sight.first(one.surfaceRays, ray) : null;
      return own && met && met.distance < own.distance;
    });
    return !own || hidden ? null : { point: own.point, triangle: own.faceIndex ?? 0 };
  }

  /** Where the pointer meets a surface as a tree has it, that of the piece of this id; null where another piece lies in front. */
  onTree(tree: MeshBVH, id: string, x: number, y: number): Met | null {
    const ray = this.ray(x, y);
    const own = this.sight.first(tree, ray);
    const hidden = this.views.some((view) => {
      const met = view.id !== id && view.hasFaces ? this.sight.first(view.surfaceRays, ray) : null;
      return own && met && met.distance < own.distance;
    });
    return !own || hidden ? null : { point: own.point, normal: normalOf(tree, own.faceIndex ?? 0, ray) };
  }

  /** Elements of one piece within a closed line drawn on the screen: those whose middles lie inside. */
  inLasso(kind: Kind, view: PieceView, line: [number, number][]): number[] {
    const points = projected(view, this.toScreen, this.screen);
    return this.taken(kind, view, (verts) => {
      let [x, y] = [0, 0];
      for (const v of verts) [x, y] = [x + points[3 * v] / verts.length, y + points[3 * v + 1] / verts.length];
      return withinLine(x, y, line);
    });
  }

  /** Elements of one piece in a box of pixels: wholly inside, or also those that it touches. */
  inBox(kind: Kind, view: PieceView, box: PixelBox, touching: boolean): number[] {
    const [left, top, right, bottom] = box;
    const points = projected(view, this.toScreen, this.screen);
    const inside = (v: number) =>
      points[3 * v] >= left && points[3 * v] <= right && points[3 * v + 1] >= top && points[3 * v + 1] <= bottom;
    if (kind === "piece" && !touching) {
      const all = [...Array(points.length / 3).keys()];
      return all.every(inside) && (!view.hasFaces || this.taken("face", view, () => true).length) ? [0] : [];
    }
    return this.taken(kind, view, (verts) =>
      touching ? verts.some(inside) || (verts.length === 2 && segmentMeets(points, verts[0], verts[1], box)) : verts.every(inside),
    );
  }

  /** The elements that a test of their vertices takes, and that are seen. */
  private taken(kind: Kind, view: PieceView, test: (vertices: number[]) => boolean): number[] {
    const { edge_verts, face_verts, face_offsets, positions } = view.arrays.cage;
    const count = kind === "vertex" ? positions.length / 3 : kind === "edge" ? edge_verts.length / 2 : face_offsets.length - 1;
    const vertices = (id: number): number[] =>
      kind === "vertex" ? [id]
      : kind === "edge" ? [edge_verts[2 * id], edge_verts[2 * id + 1]]
      : [...face_verts.subarray(face_offsets[id], face_offsets[id + 1])];
    // A whole curve is met by its legs.
    if (kind === "piece" && !view.hasFaces) return this.taken("edge", view, test).slice(0, 1).map(() => 0);
    if (!view.offersPoints && (kind === "vertex" || kind === "edge")) return [];
    const found: number[] = [];
    for (let id = 0; id < count; id++)
      if (test(vertices(id)) && (this.through || !view.hasFaces || this.sight.sees(view, kind, id))) found.push(id);
    return kind === "piece" ? found.slice(0, 1).map(() => 0) : found;
  }

  private faceAt(x: number, y: number): Hit | null {
    const ray = this.ray(x, y);
    let best: { hit: Hit; distance: number } | null = null;
    // Where surface and cage are both shown, the surface comes first and the cage fills in around it.
    for (const source of ["surface", "cage"] as const) {
      for (const view of this.views) {
        if (!view.hasFaces || (view.display !== "both" && view.display !== source)) continue;
        const tree = source === "surface" ? view.surfaceRays : view.cageRays;
        const hit = this.sight.first(tree, ray);
        if (!hit || (best && best.distance <= hit.distance)) continue;
        const triangle = hit.faceIndex ?? 0;
        const id = source === "surface" ? view.faceOfSurfaceTriangle(triangle) : view.faceOfCageTriangle(triangle);
        best = { hit: { piece: view.id, kind: "face", id }, distance: hit.distance };
      }
      if (best) return best.hit;
    }
    return null;
  }
}

/** A place on a surface, and the direction there that looks at the eye. */
export interface Met {
  point: Vector3;
  normal: Vector3;
}

function normalOf(tree: MeshBVH, triangle: number, ray: Ray): Vector3 {
  const { geometry } = tree;
  const [points, index] = [geometry.getAttribute("position"), geometry.getIndex()];
  const [a, b, c] = [0, 1, 2].map((k) => new Vector3().fromBufferAttribute(points, index ? index.getX(3 * triangle + k) : 3 * triangle + k));
  const normal = b.sub(a).cross(c.sub(a)).normalize();
  return normal.dot(ray.direction) > 0 ? normal.negate() : normal;
}

type PixelBox = [left: number, top: number, right: number, bottom: number];

/** Where only the surface is shown, a control point is found where it pulls the surface: its limit position. */
const position = (view: PieceView, vertex: number): Vector3 =>
  pointOf(view.display === "surface" ? view.arrays.surface.positions : view.arrays.cage.positions, vertex);

/** How far a pixel lies from the line between points a and b of a list (x, y, depth), and where along it. */
export function toSegment(x: number, y: number, points: ArrayLike<number>, a: number, b: number): { distance: number; along: number } {
  const [ax, ay] = [points[3 * a], points[3 * a + 1]];
  const [dx, dy] = [points[3 * b] - ax, points[3 * b + 1] - ay];
  const length = dx * dx + dy * dy;
  const along = length ? Math.max(0, Math.min(1, ((x - ax) * dx + (y - ay) * dy) / length)) : 0;
  return { distance: Math.hypot(ax + along * dx - x, ay + along * dy - y), along };
}

function segmentMeets(points: ArrayLike<number>, a: number, b: number, [left, top, right, bottom]: PixelBox): boolean {
  let [enter, leave] = [0, 1];
  for (const [from, to, low, high] of [
    [points[3 * a], points[3 * b], left, right],
    [points[3 * a + 1], points[3 * b + 1], top, bottom],
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
