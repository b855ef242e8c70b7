/** What the eye sees: what neither lies behind something nor turns its edge to it. */
import { Box3, type Camera, DoubleSide, type OrthographicCamera, type Plane, Ray, Vector3 } from "three";
import type { MeshBVH } from "three-mesh-bvh";
import type { Kind } from "../model/types";
import { meanNormal } from "../model/measure";
import { cageBeside, quadsBeside } from "./besides";
import type { Screen } from "./screen";
import type { PieceView } from "./pieceView";

/** A face that is turned away further than this (a cosine, half a degree) shows its edge alone. */
const edgeOn = 0.01;
/** Of a piece's own extent: what lies nearer in front of a point than this is the point's own surface. */
const ownSurface = 1e-4;

/** A place on what is drawn, and the normal of the cage's face that it belongs to. */
interface Spot {
  at: Vector3;
  normal: Vector3;
}

export class Sight {
  private readonly extents = new Map<PieceView, number>();

  constructor(
    private readonly screen: Screen,
    private readonly views: PieceView[],
    private readonly planes: Plane[],
  ) {}

  /** Whether the section has cut a place away. */
  isCut(point: Vector3): boolean {
    return this.planes.some((plane) => plane.distanceToPoint(point) < 0);
  }

  /** The first place where a ray meets what the section leaves. */
  first(tree: MeshBVH, ray: Ray, beyond = 0): { point: Vector3; distance: number; faceIndex?: number | null } | null {
    if (!this.planes.length && beyond === 0) return tree.raycastFirst(ray, DoubleSide);
    const hits = tree.raycast(ray, DoubleSide).filter((hit) => hit.distance > beyond && !this.isCut(hit.point));
    return hits.reduce<(typeof hits)[number] | null>((best, hit) => (best && best.distance <= hit.distance ? best : hit), null);
  }

  /** Whether an element is seen: a face by its middle, an edge or a vertex by what lies right beside it. */
  sees(view: PieceView, kind: Kind, id: number): boolean {
    if (!view.hasFaces) return true;
    return this.spots(view, kind, id).some((spot) => !this.isCut(spot.at) && this.faces(spot) && this.isOpen(view, spot.at));
  }

  /** Whether nothing of any piece lies between the eye and a point; what lies within `own` of the piece's extent is itself. */
  isOpen(of: PieceView, point: Vector3, own = ownSurface): boolean {
    const [towards, far] = this.towardsEye(point);
    const ray = new Ray(point, towards);
    return this.views.every((view) => {
      if (!view.hasFaces) return true;
      const tree = view.display === "cage" ? view.cageRays : view.surfaceRays;
      const hit = this.first(tree, ray, (view === of ? own : 1e-7) * this.extent(of));
      return !hit || hit.distance > far;
    });
  }

  /** Spots right beside an element on what is drawn of the piece. */
  private spots(view: PieceView, kind: Kind, id: number): Spot[] {
    const { cage, surface } = view.arrays;
    const normalOf = (face: number) => new Vector3(...meanNormal(cage, "face", [face]));
    if (view.display === "cage")
      return cageBeside(cage, kind, id).map(({ face, vertices, weights }) => {
        const at = new Vector3();
        vertices.forEach((v, i) => at.addScaledVector(pointOf(cage.positions, v), weights[i]));
        return { at, normal: normalOf(face) };
      });
    return quadsBeside(cage, surface, kind, id).map((q) => {
      const [a, b, c] = [0, 1, 2].map((k) => pointOf(surface.positions, surface.quads[4 * q + k]));
      return { at: a.add(b).add(c).divideScalar(3), normal: normalOf(surface.face_of_quad[q]) };
    });
  }

  /** From whichever side: of a sheet the back is seen as well. The cage tells, since a rounded edge always shows a little. */
  private faces({ at, normal }: Spot): boolean {
    return Math.abs(normal.dot(this.towardsEye(at)[0])) > edgeOn;
  }

  /** The direction from a point to the eye, and how far away that is. */
  private towardsEye(point: Vector3): [Vector3, number] {
    const { camera, back } = this.screen;
    if (isFlat(camera)) return [back, Infinity];
    const way = camera.position.clone().sub(point);
    const far = way.length();
    return [way.divideScalar(far || 1), far];
  }

  private extent(view: PieceView): number {
    const before = this.extents.get(view);
    if (before !== undefined) return before;
    const box = view.surfaceRays.getBoundingBox(new Box3());
    const extent = box.getSize(new Vector3()).length();
    this.extents.set(view, extent);
    return extent;
  }
}

const isFlat = (camera: Camera): boolean => (camera as OrthographicCamera).isOrthographicCamera;

export const pointOf = (from: ArrayLike<number>, i: number): Vector3 => new Vector3(from[3 * i], from[3 * i + 1], from[3 * i + 2]);
