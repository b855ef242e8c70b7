/** A map of a piece's body: it brings the body's triangles along, and is drawn in place of what else there is of that piece. */
import { BufferAttribute, BufferGeometry, Group, type Plane, type Ray, Triangle, Vector3 } from "three";
import { MeshBVH } from "three-mesh-bvh";
import type { ShownMap } from "../model/types";
import type { Unit } from "../model/units";
import { MapView } from "./mapView";
import type { Sight } from "./sight";

export class BodyMap {
  readonly group = new Group();
  private view: MapView | null = null;
  private surface: BufferGeometry | null = null;
  private tree: MeshBVH | null = null;
  private map: ShownMap | null = null;

  constructor(private readonly planes: Plane[]) {}

  /** Whether it stands for this piece. */
  isOf(piece: string): boolean {
    return this.group.visible && this.map?.piece === piece;
  }

  show(map: ShownMap | null, unit: Unit, lines: boolean): void {
    const { body } = map ?? {};
    if (body && body !== this.map?.body) {
      this.drop();
      this.surface = new BufferGeometry();
      this.surface.setAttribute("position", new BufferAttribute(body.points, 3));
      this.surface.setAttribute("normal", new BufferAttribute(body.normals, 3));
      this.surface.setIndex(new BufferAttribute(new Uint32Array(body.triangles), 1));
      this.view = new MapView(this.surface, this.planes);
      // There is no clay that it covers; what is marked lies over it.
      this.view.mesh.material.polygonOffset = true;
      this.group.add(this.view.mesh, this.view.isolines);
    }
    this.map = map;
    this.group.visible = body !== undefined;
    if (body) this.view?.show(map, unit, lines);
  }

  /** The value where a ray meets it first; null beside it. */
  valueAt(sight: Sight, ray: Ray): number | null {
    const { body, rows } = this.map ?? {};
    if (!body || !rows || !this.surface) return null;
    this.tree ??= new MeshBVH(this.surface, { indirect: true });
    const hit = sight.first(this.tree, ray);
    if (!hit) return null;
    const { points, triangles } = body;
    const corners = [0, 1, 2].map((k) => triangles[3 * (hit.faceIndex ?? 0) + k]);
    const [a, b, c] = corners.map((row) => new Vector3().fromArray(points, 3 * row));
    const shares = Triangle.getBarycoord(hit.point, a, b, c, new Vector3());
    return shares && shares.x * rows[corners[0]] + shares.y * rows[corners[1]] + shares.z * rows[corners[2]];
  }

  private drop(): void {
    if (!this.view) return;
    this.group.clear();
    this.view.dispose();
    this.surface?.dispose();
    this.view = this.surface = this.tree = null;
  }

  dispose(): void {
    this.drop();
  }
}
