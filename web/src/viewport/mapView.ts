/** A map laid over a piece's surface: each of its rows in the colour of its value. */
import { BufferAttribute, BufferGeometry, Mesh, type MeshMatcapMaterial, type Plane } from "three";
import type { ShownMap } from "../model/types";
import { toneOf } from "../theme/scale";
import { paleTexture, surfaceMaterial } from "./materials";

export class MapView {
  readonly mesh: Mesh<BufferGeometry, MeshMatcapMaterial>;
  private readonly count: number;
  private shown: ShownMap | null = null;

  /** Shares the points of a surface, so that it follows every drag. */
  constructor(surface: BufferGeometry, planes: Plane[]) {
    const geometry = new BufferGeometry();
    const points = surface.getAttribute("position");
    this.count = points.count;
    geometry.setAttribute("position", points);
    geometry.setAttribute("normal", surface.getAttribute("normal"));
    geometry.setIndex(surface.getIndex());
    geometry.setAttribute("color", new BufferAttribute(new Float32Array(3 * this.count), 3));
    const material = surfaceMaterial(planes, { value: 0 });
    material.vertexColors = true;
    material.matcap = paleTexture();
    // Before the clay that it covers.
    material.polygonOffset = false;
    this.mesh = new Mesh(geometry, material);
    this.mesh.frustumCulled = false;
    this.mesh.visible = false;
  }

  /** Whether it covers the surface. */
  get covers(): boolean {
    return this.mesh.visible;
  }

  show(map: ShownMap | null): void {
    const fits = map !== null && map.rows.length === this.count;
    this.mesh.visible = fits;
    if (!fits || map === this.shown) return;
    this.shown = map;
    const attribute = this.mesh.geometry.getAttribute("color") as BufferAttribute;
    for (let i = 0; i < this.count; i++) attribute.array.set(toneOf(map.rows[i], map), 3 * i);
    attribute.needsUpdate = true;
  }

  dispose(): void {
    this.mesh.geometry.dispose();
    this.mesh.material.dispose();
  }
}
