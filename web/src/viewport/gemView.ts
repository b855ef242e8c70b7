/** A stone as it is drawn: its facets, once, for all places where such a one lies. */
import { BufferAttribute, BufferGeometry, Vector3 } from "three";
import { MeshBVH } from "three-mesh-bvh";
import type { GemFrame } from "../model/types";
import type { ImageBase } from "./copyView";
import { type Refraction, refractionOf } from "./refraction";

export class GemView implements ImageBase {
  readonly surface = new BufferGeometry();
  readonly stone: string;
  private tree: MeshBVH | null = null;

  readonly smooth: boolean;
  /** Of one with facets; others glow from within. */
  readonly refraction: Refraction | null;

  constructor(frame: GemFrame) {
    const { points, normals, tint, smooth } = frame;
    this.surface.setAttribute("position", new BufferAttribute(points, 3));
    this.surface.setAttribute("normal", new BufferAttribute(normals, 3));
    this.stone = tint;
    this.smooth = smooth;
    this.refraction = smooth ? null : refractionOf(frame);
  }

  dispose(): void {
    this.surface.dispose();
    this.refraction?.facets.dispose();
  }

  get surfaceRays(): MeshBVH {
    return (this.tree ??= new MeshBVH(this.surface));
  }

  *extent(): Iterable<Vector3> {
    const points = this.surface.getAttribute("position");
    for (let i = 0; i < points.count; i++) yield new Vector3().fromBufferAttribute(points, i);
  }
}
