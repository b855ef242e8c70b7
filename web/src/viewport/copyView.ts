/** Images of other pieces, drawn as instances of what these are drawn with: they follow every drag by themselves. */
import { type BufferGeometry, Group, InstancedMesh, Matrix4, type Plane, Ray, type Vector3 } from "three";
import type { Material } from "../live/stores/show";
import type { CopiesFrame } from "../model/types";
import { colours } from "../theme/colours";
import { asGlass, clearAs, dressIn, gemTexture, type SurfaceMaterial, surfaceMaterial } from "./materials";
import type { Clear } from "./finishes";
import { type Refraction, refracts } from "./refraction";

/** What images are of: a piece as it is drawn, or a stone. */
export interface ImageBase {
  readonly surface: BufferGeometry;
  readonly surfaceRays: { raycastFirst(ray: Ray): { distance: number } | null };
  /** Of a stone the colour that it has of its own. */
  readonly stone?: string;
  /** Of a stone that has no facets. */
  readonly smooth?: boolean;
  /** Of a stone that is looked into. */
  readonly refraction?: Refraction | null;
  /** Of a smooth stone that is looked through. */
  readonly clear?: Clear | null;
  extent(): Iterable<Vector3>;
}

interface Part {
  of: ImageBase;
  material: SurfaceMaterial;
  motions: Matrix4[];
  meshes: InstancedMesh[];
}

const flipped = new Matrix4().makeScale(-1, 1, 1);

export interface CopyDress {
  shown: boolean;
  material: Material;
  colour: string;
  finish: string;
  glass: boolean;
  marked: "plain" | "picked" | "hover";
}

export class CopyView {
  readonly group = new Group();
  private readonly parts: Part[] = [];

  constructor(
    readonly id: string,
    copies: CopiesFrame[],
    baseOf: (of: string) => ImageBase | null,
    planes: Plane[],
  ) {
    for (const { of, motions } of copies) {
      const base = baseOf(of);
      if (!base) continue;
      const material = surfaceMaterial(planes, { value: base.stone ? 0 : 1 });
      if (base.refraction) refracts(material, base.refraction);
      const list = Array.from({ length: motions.length / 16 }, (_, k) => new Matrix4().fromArray(motions, 16 * k));
      const part: Part = { of: base, material, motions: list, meshes: [] };
      for (const turned of [false, true]) {
        const some = list.filter((motion) => motion.determinant() < 0 === turned);
        if (!some.length) continue;
        const mesh = new InstancedMesh(base.surface, material, some.length);
        // A whole that is mirrored is drawn with its faces the right way round; single instances are not looked at.
        if (turned) mesh.applyMatrix4(flipped);
        some.forEach((motion, k) => mesh.setMatrixAt(k, turned ? flipped.clone().multiply(motion) : motion));
        mesh.frustumCulled = false;
        part.meshes.push(mesh);
        this.group.add(mesh);
      }
      this.parts.push(part);
    }
  }

  /** Whether it is drawn with this piece's points. */
  isOf(base: ImageBase): boolean {
    return this.parts.some((part) => part.of === base);
  }

  dress({ shown, material, colour, finish, glass, marked }: CopyDress): void {
    this.group.visible = shown;
    for (const { of, material: own, meshes } of this.parts) {
      dressIn(own, material, colour, finish);
      if (of.stone && material !== "stripes") own.matcap = gemTexture(of.stone, of.smooth === true);
      if (of.stone) own.grain.value = 0;
      if (of.stone) clearAs(own, material === "stripes" ? null : (of.clear ?? null));
      if (of.refraction) of.refraction.on.value = Number(material !== "stripes");
      own.color.set(marked === "picked" ? colours.answer : marked === "hover" ? "#F0C9DC" : "#FFFFFF");
      for (const mesh of meshes) asGlass(mesh as never, glass);
    }
  }

  /** How far along a ray the nearest image is met, and which it is; null where none is. */
  meets(ray: Ray): { distance: number; image: number } | null {
    let best: { distance: number; image: number } | null = null;
    let image = -1;
    for (const { of, motions } of this.parts)
      for (const motion of motions) {
        image += 1;
        const back = motion.clone().invert();
        const own = new Ray(ray.origin.clone().applyMatrix4(back), ray.direction.clone().transformDirection(back));
        const hit = of.surfaceRays.raycastFirst(own);
        // Motions keep lengths.
        if (hit && (best === null || hit.distance < best.distance)) best = { distance: hit.distance, image };
      }
    return best;
  }

  /** Some points of each image, to tell how far they reach. */
  *corners(): Iterable<Vector3> {
    for (const { of, motions } of this.parts) {
      const own = [...of.extent()];
      for (const motion of motions) for (const point of own) yield point.clone().applyMatrix4(motion);
    }
  }

  dispose(): void {
    // The points belong to the piece that it is of.
    for (const { meshes, material } of this.parts) {
      for (const mesh of meshes) mesh.dispose();
      material.dispose();
    }
  }
}
