/** The point that is meant under the pointer: on what is there, on a reference, or on the working plane and its grid. */
import { type Ray, Vector3 } from "three";
import type { DesignState } from "../model/types";
import { useShow } from "../live/stores/show";
import { faceNormal } from "../model/measure";
import type { Picker } from "./picking";
import type { Spot, SpotQuery } from "../model/sketch";
import type { ReferenceViews } from "./referenceViews";

export interface WorkingPlane {
  origin: Vector3;
  normal: Vector3;
  right: Vector3;
  up: Vector3;
  picture: string | null;
}

const vec = (v: Vector3) => v.toArray();

const edgeOn = 0.05;
/** Of a component's radius: what lies so far behind where it is met is on its other side. */
const behind = 0.12;

/** The working plane that is chosen; where the view looks along it, so that nothing could be set on it, the one that faces the view. */
function workingPlaneSeen(design: DesignState | null, back: Vector3): WorkingPlane {
  const chosen = workingPlane(design);
  if (chosen.picture || Math.abs(chosen.normal.dot(back)) > edgeOn) return chosen;
  const [x, y, z] = back.toArray().map(Math.abs);
  const side = z >= x && z >= y ? "ground" : y >= x ? "front" : "side";
  return sidePlane(side, 0);
}

/** The working plane that is chosen: ground, front, side, or that of a picture. */
function workingPlane(design: DesignState | null): WorkingPlane {
  const { plane, planeAt } = useShow.getState();
  const picture = design?.references.find((r) => r.id === plane);
  if (picture?.kind === "picture") {
    const [right, up] = [new Vector3(...picture.right), new Vector3(...picture.up)];
    return { origin: new Vector3(...picture.centre), normal: right.clone().cross(up), right, up, picture: picture.id };
  }
  return sidePlane(plane, planeAt);
}

function sidePlane(plane: string, planeAt: number): WorkingPlane {
  const [x, y, z] = [new Vector3(1, 0, 0), new Vector3(0, 1, 0), new Vector3(0, 0, 1)];
  if (plane === "front") return { origin: y.clone().multiplyScalar(planeAt), normal: y.clone().negate(), right: x, up: z, picture: null };
  if (plane === "side") return { origin: x.clone().multiplyScalar(planeAt), normal: x, right: y, up: z, picture: null };
  return { origin: z.clone().multiplyScalar(planeAt), normal: z, right: x, up: y, picture: null };
}

export function spotAt(
  picker: Picker,
  references: ReferenceViews,
  design: DesignState | null,
  x: number,
  y: number,
  query: SpotQuery,
): Spot | null {
  const { snaps } = useShow.getState();
  const ray = picker.ray(x, y);
  if (query.picture) return onPicture(ray, design, query.picture);
  const blank = { normal: null, vertices: [], piece: null, reference: null };
  const onFace = (): Spot | null => {
    const hit = picker.facePoint(x, y);
    return hit && { ...blank, on: "face", point: vec(hit.point), normal: faceNormal(hit.cage, hit.face).normal, piece: hit.piece };
  };
  if (query.images) {
    const met = picker.imageAt(x, y);
    return met && { ...blank, on: "image", point: vec(met.point), piece: met.piece, image: met.image };
  }
  if (query.surface) return onFace();
  if (query.plane) return onPlane(ray, workingPlaneSeen(design, picker.view.back), false);
  const there = ofThePiece(picker, references, x, y, query);
  if (there) return there;
  const near: Spot[] = [];
  const onSurfaces = query.bare === true || query.faces === true;
  if (snaps.reference || onSurfaces) {
    const hit = references.hit(ray);
    if (hit) near.push({ ...blank, on: "reference", point: vec(hit.point), normal: vec(hit.normal), reference: hit.id });
  }
  const face = snaps.face || onSurfaces ? onFace() : null;
  if (face) near.push(face);
  const distance = (spot: Spot) => new Vector3(...spot.point).distanceTo(ray.origin);
  near.sort((a, b) => distance(a) - distance(b));
  const found = near[0] ?? onPlane(ray, workingPlaneSeen(design, picker.view.back));
  if (found || !query.anywhere) return found;
  const { middle, back } = picker.view;
  const point = meet(ray, middle, back);
  return point && { ...blank, on: "plane", point: vec(point) };
}

/** A vertex or an edge under the pointer, where these are drawn to. */
function ofThePiece(picker: Picker, references: ReferenceViews, x: number, y: number, query: SpotQuery): Spot | null {
  const { snaps } = useShow.getState();
  if (query.bare) return null;
  const blank = { normal: null, reference: null };
  // What lies behind a component is not meant, though it shows through it.
  const isBehind = (point: Vector3) => {
    const towards = picker.rayTo(point);
    const before = query.reuse ? references.hit(towards) : null;
    return before !== null && point.distanceTo(towards.origin) > before.point.distanceTo(towards.origin) + behind * before.radius;
  };
  if (query.reuse || snaps.vertex) {
    const hit = picker.at("vertex", x, y, isBehind);
    if (hit) return { ...blank, on: "vertex", point: vec(picker.vertex(hit.piece, hit.id)), vertices: [hit.id], piece: hit.piece };
  }
  if (query.reuse || snaps.edge) {
    const hit = picker.edgePoint(x, y, query.reuse ?? false, isBehind);
    if (hit) return { ...blank, on: "edge", point: vec(hit.point), vertices: hit.vertices, piece: hit.piece };
  }
  return null;
}

function onPicture(ray: Ray, design: DesignState | null, id: string): Spot | null {
  const picture = design?.references.find((r) => r.id === id);
  if (picture?.kind !== "picture") return null;
  const [right, up] = [new Vector3(...picture.right), new Vector3(...picture.up)];
  const point = meet(ray, new Vector3(...picture.centre), right.clone().cross(up));
  return point && { on: "picture", point: vec(point), normal: null, vertices: [], piece: null, reference: id };
}

function onPlane(ray: Ray, plane: WorkingPlane, onGrid = true): Spot | null {
  const point = meet(ray, plane.origin, plane.normal);
  if (!point) return null;
  const { snaps, grid } = useShow.getState();
  if (onGrid && snaps.grid) {
    const off = point.clone().sub(plane.origin);
    const round = (v: number) => Math.round(v / grid) * grid;
    point.copy(plane.origin);
    point.addScaledVector(plane.right, round(off.dot(plane.right))).addScaledVector(plane.up, round(off.dot(plane.up)));
  }
  const on = plane.picture ? "picture" : "plane";
  return { on, point: vec(point), normal: null, vertices: [], piece: null, reference: plane.picture };
}

function meet(ray: Ray, origin: Vector3, normal: Vector3): Vector3 | null {
  const slope = ray.direction.dot(normal);
  if (Math.abs(slope) < 0.02) return null;
  const t = origin.clone().sub(ray.origin).dot(normal) / slope;
  return ray.origin.clone().addScaledVector(ray.direction, t);
}
