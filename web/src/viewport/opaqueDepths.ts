/** How far from the eye what is opaque lies, pixel by pixel: drawn anew only where something else is seen. */
import {
  type BufferAttribute,
  type BufferGeometry,
  type Camera,
  DepthTexture,
  DoubleSide,
  Mesh,
  MeshBasicMaterial,
  MeshMatcapMaterial,
  NearestFilter,
  type Plane,
  type Scene,
  Vector2,
  type WebGLRenderer,
  WebGLRenderTarget,
} from "three";

/** The layer of what is opaque. */
const layer = 1;

export class OpaqueDepths {
  private readonly target: WebGLRenderTarget;
  private readonly solid: MeshBasicMaterial;
  seen = "";
  /** What was seen when they were drawn last. */
  private drawn = "";

  constructor(planes: Plane[]) {
    this.target = new WebGLRenderTarget(1, 1, { minFilter: NearestFilter, magFilter: NearestFilter, depthTexture: new DepthTexture(1, 1) });
    this.solid = new MeshBasicMaterial({ colorWrite: false, side: DoubleSide, clippingPlanes: planes });
  }

  get texture(): DepthTexture | null {
    return this.target.depthTexture;
  }

  /** Once before each frame: what is opaque is told from what is not, and all that they depend on is put in words. */
  look(renderer: WebGLRenderer, scene: Scene, camera: Camera): void {
    scene.updateMatrixWorld();
    camera.updateMatrixWorld();
    const size = renderer.getDrawingBufferSize(new Vector2());
    const seen = [size.x, size.y, ...camera.projectionMatrix.elements, ...camera.matrixWorldInverse.elements];
    for (const { normal, constant } of this.solid.clippingPlanes ?? []) seen.push(...normal, constant);
    scene.traverseVisible((one) => {
      if (!(one instanceof Mesh && one.material instanceof MeshMatcapMaterial)) return;
      one.layers[one.material.transparent ? "disable" : "enable"](layer);
      const { geometry, matrixWorld } = one as Mesh<BufferGeometry>;
      // Before a form has come its geometry has no points.
      const points = geometry.attributes.position as BufferAttribute | undefined;
      seen.push(one.id, geometry.id, points?.version ?? 0, +one.material.transparent, ...matrixWorld.elements.slice(12));
    });
    this.seen = seen.join(" ");
  }

  /** Draw them, unless they were drawn last where the same was seen. */
  draw(renderer: WebGLRenderer, scene: Scene, camera: Camera): void {
    if (this.seen === this.drawn) return;
    const size = renderer.getDrawingBufferSize(new Vector2());
    if (this.target.width !== size.x || this.target.height !== size.y) this.target.setSize(size.x, size.y);
    const [mask, cleared] = [camera.layers.mask, renderer.autoClear];
    camera.layers.set(layer);
    scene.overrideMaterial = this.solid;
    renderer.autoClear = true;
    renderer.setRenderTarget(this.target);
    renderer.render(scene, camera);
    renderer.setRenderTarget(null);
    scene.overrideMaterial = null;
    camera.layers.mask = mask;
    renderer.autoClear = cleared;
    this.drawn = this.seen;
  }

  dispose(): void {
    this.target.depthTexture?.dispose();
    this.target.dispose();
    this.solid.dispose();
  }
}
