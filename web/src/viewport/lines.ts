/** A set of line segments of one colour and width, in pixels. */
import type { InterleavedBufferAttribute, Plane } from "three";
import { LineMaterial } from "three/addons/lines/LineMaterial.js";
import { LineSegments2 } from "three/addons/lines/LineSegments2.js";
import { LineSegmentsGeometry } from "three/addons/lines/LineSegmentsGeometry.js";

export class Lines {
  readonly object: LineSegments2;
  private readonly material: LineMaterial;
  /** The vertex at each end of each line. */
  private ends: number[] = [];

  constructor(color: string, width: number, options: { onTop?: boolean; opacity?: number; dashed?: boolean; dash?: number; raised?: boolean } = {}) {
    this.material = new LineMaterial({
      color,
      linewidth: width,
      transparent: true,
      opacity: options.opacity ?? 1,
      depthTest: !options.onTop,
      dashed: options.dashed ?? false,
      dashSize: options.dash ?? 1.2,
      gapSize: options.dash ?? 0.8,
      // Of lines that run in a surface, or a little under it.
      polygonOffset: options.raised ?? false,
      polygonOffsetFactor: -4,
      polygonOffsetUnits: -4000,
    });
    this.object = new LineSegments2(new LineSegmentsGeometry(), this.material);
    this.object.renderOrder = options.onTop ? 20 : 10;
    this.object.frustumCulled = false;
    this.object.visible = false;
  }

  /** Draw these edges of a cage. */
  set(positions: ArrayLike<number>, edgeVerts: ArrayLike<number>, edges: Iterable<number>): void {
    const ends: number[] = [];
    for (const e of edges) ends.push(edgeVerts[2 * e], edgeVerts[2 * e + 1]);
    this.ends = ends;
    this.object.visible = ends.length > 0;
    if (!ends.length) return;
    this.object.geometry.dispose();
    this.object.geometry = new LineSegmentsGeometry();
    this.object.geometry.setPositions(laid(new Float32Array(3 * ends.length), ends, positions));
    if (this.material.dashed) this.object.computeLineDistances();
  }

  /** The same edges, their ends elsewhere: laid anew where they are, with no new buffer on the card. */
  moved(positions: ArrayLike<number>): void {
    if (!this.ends.length) return;
    const { data } = this.object.geometry.getAttribute("instanceStart") as InterleavedBufferAttribute;
    laid(data.array as Float32Array, this.ends, positions);
    data.needsUpdate = true;
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

function laid(into: Float32Array, ends: number[], positions: ArrayLike<number>): Float32Array {
  for (let i = 0; i < ends.length; i++) for (let k = 0; k < 3; k++) into[3 * i + k] = positions[3 * ends[i] + k];
  return into;
}
