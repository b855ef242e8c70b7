/** Images of other pieces, drawn as instances of what these are drawn with: they follow every drag by themselves. */
import { Group, InstancedMesh, Matrix4, type MeshMatcapMaterial, type Plane, Ray, Vector3 } from "three";
import type { Material } from "../live/stores/show";
import type { CopiesFrame } from "../model/types";
import { colours } from "../theme/colours";
import type { PieceView } from "./pieceView";
import { asGlass, surfaceMaterial, surfaceTexture } from "./materials";

interface Part {
  of: PieceView;
  motions: Matrix4[];
  meshes: InstancedMesh[];
}

const flipped = new Matrix4().makeScale(-1, 1, 1);

export interface CopyDress {
  shown: boolean;
  material: Material;
  colour: string;
  glass: boolean;
  marked: "plain" | "picked" | "hover";
}

export class CopyView {
  readonly group = new Group();
  private readonly parts: Part[] = [];
  private readonly material: MeshMatcapMaterial;

  constructor(
    readonly id: string,
    copies: CopiesFrame[],
    view: (id: string) => PieceView | null,
    planes: Plane[],
  ) {
    this.material = surfaceMaterial(planes, { value: 1 });
    for (const { of, motions } of copies) {
      const base = view(of);
      if (!base) continue;
      const list = Array.from({ length: motions.length / 16 }, (_, k) => new Matrix4().fromArray(motions, 16 * k));
      const part: Part = { of: base, motions: list, meshes: [] };
      for (const turned of [false, true]) {
        const some = list.filter((motion) => motion.determinant() < 0 === turned);
        if (!some.length) continue;
        const mesh = new InstancedMesh(base.surface, this.material, some.length);
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
  isOf(view: PieceView): boolean {
    return this.parts.some((part) => part.of === view);
  }

  dress({ shown, material, colour, glass, marked }: CopyDress): void {
    this.group.visible = shown;
    this.material.matcap = surfaceTexture(material, colour);
    this.material.color.set(marked === "picked" ? colours.answer : marked === "hover" ? "#F0C9DC" : "#FFFFFF");
    for (const { meshes } of this.parts) for (const mesh of meshes) asGlass(mesh as never, glass);
  }

  /** How far along a ray the nearest image is met; null where none is. */
  meets(ray: Ray): number | null {
    let best: number | null = null;
    for (const { of, motions } of this.parts)
      for (const motion of motions) {
        const back = motion.clone().invert();
        const own = new Ray(ray.origin.clone().applyMatrix4(back), ray.direction.clone().transformDirection(back));
        const hit = of.surfaceRays.raycastFirst(own);
        // Motions keep lengths.
        if (hit && (best === null || hit.distance < best)) best = hit.distance;
      }
    return best;
  }

  /** Some points of each image, to tell how far they reach. */
  *corners(): Iterable<Vector3> {
    for (const { of, motions } of this.parts) {
      const { positions } = of.arrays.cage;
      for (const motion of motions)
        for (let i = 0; i < positions.length; i += 3) yield new Vector3(positions[i], positions[i + 1], positions[i + 2]).applyMatrix4(motion);
    }
  }

  dispose(): void {
    // The points belong to the piece that it is of.
    for (const { meshes } of this.parts) for (const mesh of meshes) mesh.dispose();
    this.material.dispose();
  }
}
