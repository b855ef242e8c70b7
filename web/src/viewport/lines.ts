/** A set of line segments of one colour and width, in pixels. */
import type { Plane } from "three";
import { LineMaterial } from "three/addons/lines/LineMaterial.js";
import { LineSegments2 } from "three/addons/lines/LineSegments2.js";
import { LineSegmentsGeometry } from "three/addons/lines/LineSegmentsGeometry.js";

export class Lines {
  readonly object: LineSegments2;
  private readonly material: LineMaterial;

  constructor(color: string, width: number, options: { onTop?: boolean; opacity?: number; dashed?: boolean; dash?: number } = {}) {
    this.material = new LineMaterial({
      color,
      linewidth: width,
      transparent: true,
      opacity: options.opacity ?? 1,
      depthTest: !options.onTop,
      dashed: options.dashed ?? false,
      dashSize: options.dash ?? 1.2,
      gapSize: options.dash ?? 0.8,
    });
    this.object = new LineSegments2(new LineSegmentsGeometry(), this.material);
    this.object.renderOrder = options.onTop ? 20 : 10;
    this.object.frustumCulled = false;
    this.object.visible = false;
  }

  /** Draw these edges of a cage. */
  set(positions: ArrayLike<number>, edgeVerts: ArrayLike<number>, edges: Iterable<number>): void {
    const flat: number[] = [];
    for (const e of edges)
      for (const v of [edgeVerts[2 * e], edgeVerts[2 * e + 1]])
        flat.push(positions[3 * v], positions[3 * v + 1], positions[3 * v + 2]);
    this.object.visible = flat.length > 0;
    if (!flat.length) return;
    this.object.geometry.dispose();
    const geometry = new LineSegmentsGeometry();
    geometry.setPositions(flat);
    this.object.geometry = geometry;
    if (this.material.dashed) this.object.computeLineDistances();
  }

  clip(planes: Plane[]): void {
    this.material.clippingPlanes = planes;
  }

  dispose(): void {
    this.object.geometry.dispose();
    this.material.dispose();
  }
}
