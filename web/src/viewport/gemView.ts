/** A stone as it is drawn: its facets, once, for all places where such a one lies. */
import { BufferAttribute, BufferGeometry, Color, Vector3 } from "three";
import { MeshBVH } from "three-mesh-bvh";
import type { GemFrame } from "../model/types";
import type { ImageBase } from "./copyView";
import type { Clear } from "./finishes";
import { type Refraction, refractionOf } from "./refraction";

export class GemView implements ImageBase {
  readonly surface = new BufferGeometry();
  readonly stone: string;
  private tree: MeshBVH | null = null;

  /** Without facets, or with a glow that hides them. */
  readonly smooth: boolean;
  /** Of a clear one with facets. */
  readonly refraction: Refraction | null;
  /** Of a smooth one that is clear; others glow from within. */
  readonly clear: Clear | null;

  constructor(frame: GemFrame) {
    const { points, normals, tint, smooth } = frame;
    this.surface.setAttribute("position", new BufferAttribute(points, 3));
    this.surface.setAttribute("normal", new BufferAttribute(normals, 3));
    this.stone = tint;
    this.smooth = smooth || !frame.clear;
    this.refraction = smooth || !frame.clear ? null : refractionOf(frame);
    const { r, g, b } = new Color(tint);
    this.clear = smooth && frame.clear ? { index: frame.index, tint: [Math.sqrt(r), Math.sqrt(g), Math.sqrt(b)] } : null;
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
