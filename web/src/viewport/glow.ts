/** A glow over a piece's surface that shows how far each of its rows takes part in a change. */
import { BufferAttribute, BufferGeometry, Color, DoubleSide, Mesh, MeshBasicMaterial, type Plane } from "three";
import { colours } from "../theme/colours";

const strongest = 0.62;

export class Glow {
  readonly mesh: Mesh<BufferGeometry, MeshBasicMaterial>;
  private readonly count: number;

  /** Shares the points of a surface, so that it follows every drag. */
  constructor(surface: BufferGeometry, planes: Plane[], tone: string = colours.selection) {
    const geometry = new BufferGeometry();
    const points = surface.getAttribute("position");
    this.count = points.count;
    geometry.setAttribute("position", points);
    geometry.setIndex(surface.getIndex());
    const { r, g, b } = new Color(tone);
    const flat = new Float32Array(4 * this.count);
    for (let i = 0; i < this.count; i++) flat.set([r, g, b, 0], 4 * i);
    geometry.setAttribute("color", new BufferAttribute(flat, 4));
    const material = new MeshBasicMaterial({ vertexColors: true, transparent: true, side: DoubleSide, clippingPlanes: planes });
    material.depthWrite = false;
    this.mesh = new Mesh(geometry, material);
    this.mesh.frustumCulled = false;
    this.mesh.renderOrder = 4;
    this.mesh.visible = false;
  }

  /** Shares from 0 to 1 for each row; null for none. */
  show(rows: Float32Array | null): void {
    const fits = rows !== null && rows.length === this.count;
    this.mesh.visible = fits;
    if (!fits) return;
    const attribute = this.mesh.geometry.getAttribute("color") as BufferAttribute;
    for (let i = 0; i < this.count; i++) attribute.array[4 * i + 3] = strongest * rows[i];
    attribute.needsUpdate = true;
  }

  dispose(): void {
    this.mesh.geometry.dispose();
  }
}
