/** Pictures and components on the screen. */
import {
  BufferAttribute,
  BufferGeometry,
  Color,
  DoubleSide,
  Group,
  LineBasicMaterial,
  LineSegments,
  Matrix4,
  Mesh,
  MeshBasicMaterial,
  MeshMatcapMaterial,
  type Plane,
  PlaneGeometry,
  type Ray,
  SRGBColorSpace,
  TextureLoader,
  Vector3,
  WireframeGeometry,
} from "three";
import { MeshBVH } from "three-mesh-bvh";
import { answered, asked } from "../live/asking";
import { meshOf } from "../live/references";
import type { ComponentState, PictureState, ReferenceState } from "../model/types";
import { colours } from "../theme/colours";
import { glassTexture, zincTexture } from "./materials";

type Held = { state: ReferenceState; mesh: Mesh; tree: MeshBVH | null; facets: LineSegments | null };

/** What has more triangles is a scan, and not a body whose faces are to be told apart. */
const fewFaces = 6_000;
const loader = new TextureLoader();

export class ReferenceViews {
  readonly group = new Group();
  private readonly held = new Map<string, Held>();

  constructor(
    private readonly planes: Plane[],
    private readonly changed: () => void,
  ) {}

  show(references: ReferenceState[]): void {
    const there = new Set(references.map((r) => r.id));
    for (const [id, held] of this.held)
      if (!there.has(id) || held.state.asset !== references.find((r) => r.id === id)?.asset) this.drop(id, held);
    for (const state of references) {
      let held = this.held.get(state.id);
      if (!held) {
        held = { state, mesh: state.kind === "picture" ? this.picture(state) : this.component(state), tree: null, facets: null };
        this.held.set(state.id, held);
        this.group.add(held.mesh);
      }
      held.state = state;
      if (state.kind === "picture") layPicture(held.mesh, state);
      else layComponent(held.mesh, state);
    }
  }

  /** Components let through what a map says, which they lie around; of some the edges of their facets are drawn. */
  dress(back: boolean, facets: readonly string[]): void {
    this.held.forEach((held, id) => {
      if (held.state.kind !== "component") return;
      held.mesh.visible = held.state.visible && !back;
      if (facets.includes(id) && held.mesh.geometry.index) held.facets ??= this.facetsOf(held.mesh);
      if (held.facets) held.facets.visible = facets.includes(id);
    });
  }

  private facetsOf(mesh: Mesh): LineSegments {
    const material = new LineBasicMaterial({ color: colours.ink, transparent: true, opacity: 0.35, depthWrite: false });
    material.clippingPlanes = this.planes;
    const lines = new LineSegments(new WireframeGeometry(mesh.geometry), material);
    lines.renderOrder = 3;
    lines.frustumCulled = false;
    mesh.add(lines);
    return lines;
  }

  /** The nearest point of a shown component that a ray meets. */
  hit(ray: Ray): { id: string; point: Vector3; normal: Vector3; radius: number } | null {
    let best: { id: string; point: Vector3; normal: Vector3; radius: number; distance: number } | null = null;
    for (const [id, held] of this.held) {
      if (held.state.kind !== "component" || !held.state.visible || !held.mesh.geometry.index) continue;
      held.tree ??= new MeshBVH(held.mesh.geometry, { indirect: true });
      const own = ray.clone().applyMatrix4(held.mesh.matrixWorld.clone().invert());
      const hit = held.tree.raycastFirst(own, DoubleSide);
      if (!hit?.face) continue;
      const point = hit.point.clone().applyMatrix4(held.mesh.matrixWorld);
      const distance = point.distanceTo(ray.origin);
      if (best && best.distance <= distance) continue;
      const radius = held.mesh.geometry.boundingSphere?.radius ?? 0;
      best = { id, point, normal: hit.face.normal.clone().transformDirection(held.mesh.matrixWorld), radius, distance };
    }
    return best;
  }

  /** Grow a box by all that is shown. */
  *corners(): Iterable<Vector3> {
    for (const { state, mesh } of this.held.values()) {
      if (!state.visible) continue;
      if (state.kind === "picture") {
        const [w, h] = [state.width / 2, (state.width * state.pixels[1]) / state.pixels[0] / 2];
        for (const [a, b] of [[-w, -h], [w, -h], [w, h], [-w, h]])
          yield new Vector3(...state.centre).addScaledVector(new Vector3(...state.right), a).addScaledVector(new Vector3(...state.up), b);
      } else {
        mesh.geometry.computeBoundingBox();
        const box = mesh.geometry.boundingBox;
        if (box && !box.isEmpty()) for (const p of [box.min, box.max]) yield p.clone().applyMatrix4(mesh.matrixWorld);
      }
    }
  }

  dispose(): void {
    for (const [id, held] of this.held) this.drop(id, held);
  }

  private picture(state: PictureState): Mesh {
    const question = {};
    asked(question);
    const there = () => {
      answered(question);
      material.visible = true;
      this.changed();
    };
    const texture = loader.load(`/api/assets/${state.asset}/picture.png`, there, undefined, () => answered(question));
    texture.colorSpace = SRGBColorSpace;
    const material = new MeshBasicMaterial({ map: texture, transparent: true, side: DoubleSide, depthWrite: false });
    // Until it is there it would be a grey pane.
    material.visible = false;
    material.depthTest = false;
    material.onBeforeCompile = (shader) => {
      shader.uniforms.paper = { value: new Color(colours.paper) };
      shader.fragmentShader = `uniform vec3 paper;\n${shader.fragmentShader}`.replace(
        "#include <opaque_fragment>",
        "#ifdef OPAQUE\noutgoingLight = mix(paper, outgoingLight, opacity);\n#endif\n#include <opaque_fragment>",
      );
    };
    return new Mesh(new PlaneGeometry(1, 1), material);
  }

  private component(state: ComponentState): Mesh {
    const material = new MeshMatcapMaterial({ matcap: state.stand ? zincTexture() : glassTexture(), transparent: true, side: DoubleSide, depthWrite: false });
    material.flatShading = state.triangles < fewFaces;
    material.clippingPlanes = this.planes;
    const mesh = new Mesh(new BufferGeometry(), material);
    mesh.frustumCulled = false;
    void meshOf(state.asset).then(({ positions, triangles }) => {
      mesh.geometry.setAttribute("position", new BufferAttribute(positions, 3));
      mesh.geometry.setIndex(new BufferAttribute(new Uint32Array(triangles), 1));
      // While it was empty it had none.
      mesh.geometry.computeBoundingSphere();
      if (!material.flatShading) mesh.geometry.computeVertexNormals();
      this.changed();
    });
    return mesh;
  }

  private drop(id: string, { mesh, facets }: Held): void {
    this.group.remove(mesh);
    facets?.geometry.dispose();
    (facets?.material as LineBasicMaterial | undefined)?.dispose();
    mesh.geometry.dispose();
    (mesh.material as MeshBasicMaterial).dispose();
    this.held.delete(id);
  }
}

function layPicture(mesh: Mesh, state: PictureState): void {
  const [right, up] = [new Vector3(...state.right), new Vector3(...state.up)];
  const height = (state.width * state.pixels[1]) / state.pixels[0];
  mesh.matrixAutoUpdate = false;
  mesh.matrix
    .makeBasis(right, up, right.clone().cross(up))
    .scale(new Vector3(state.width, height, 1))
    .setPosition(...state.centre);
  mesh.matrixWorldNeedsUpdate = true;
  mesh.visible = state.visible;
  const material = mesh.material as MeshBasicMaterial;
  material.opacity = state.opacity;
  // Behind it is drawn before everything, in front after it; the handle still lies over it. What is see-through is drawn
  // late whatever its order, so that behind it is solid, and faded into the paper instead.
  if (material.transparent !== state.in_front) material.needsUpdate = true;
  material.transparent = state.in_front;
  mesh.renderOrder = state.in_front ? 40 : -20;
}

function layComponent(mesh: Mesh, state: ComponentState): void {
  const [a, b, c] = state.rotation;
  mesh.matrixAutoUpdate = false;
  mesh.matrix.copy(
    new Matrix4().set(a[0], a[1], a[2], state.centre[0], b[0], b[1], b[2], state.centre[1], c[0], c[1], c[2], state.centre[2], 0, 0, 0, 1),
  );
  mesh.updateMatrixWorld(true);
  mesh.visible = state.visible;
  const material = mesh.material as MeshMatcapMaterial;
  // A stand is as solid as what it shows, until it is faded.
  const seenThrough = !state.stand || state.opacity < 1;
  if (material.transparent !== seenThrough) material.needsUpdate = true;
  material.transparent = seenThrough;
  material.depthWrite = !seenThrough;
  mesh.renderOrder = seenThrough ? 2 : 0;
  material.opacity = state.opacity;
}
