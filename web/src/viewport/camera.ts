/** The eye: it turns about a target, in perspective or flat; z is up. */
import { type Box3, OrthographicCamera, PerspectiveCamera, Vector3 } from "three";

export type ViewName = "front" | "back" | "left" | "right" | "top" | "bottom" | "three-quarter";

const quarter = Math.PI / 2;
const views: Record<ViewName, [azimuth: number, elevation: number]> = {
  front: [0, 0],
  right: [quarter, 0],
  back: [2 * quarter, 0],
  left: [-quarter, 0],
  top: [0, quarter],
  bottom: [0, -quarter],
  "three-quarter": [0.65, 0.46],
};
export const viewNames = Object.keys(views) as ViewName[];

export interface Covered {
  top: number;
  bottom: number;
  left: number;
}

const fieldOfView = 32;

export class Eye {
  readonly target = new Vector3();
  distance = 220;
  azimuth = views["three-quarter"][0];
  elevation = views["three-quarter"][1];
  /** Whether a hand chose where it looks from, and not only how much fits. */
  byHand = false;
  private isFlat = false;
  private aspect = 1;
  private height = 1;
  private readonly perspective = new PerspectiveCamera(fieldOfView, 1, 0.1, 10_000);
  private readonly parallel = new OrthographicCamera(-1, 1, 1, -1, 0.1, 10_000);

  get flat(): boolean {
    return this.isFlat;
  }

  set flat(flat: boolean) {
    this.isFlat = flat;
    this.byHand = true;
  }

  get camera(): PerspectiveCamera | OrthographicCamera {
    return this.flat ? this.parallel : this.perspective;
  }

  /** Millimetres that one pixel spans at the target. */
  get pixel(): number {
    return (2 * this.halfHeight) / this.height;
  }

  /** Millimetres that the view spans at the target, from top to bottom; and the degrees that it sees. */
  get tall(): number {
    return 2 * this.halfHeight;
  }

  get field(): number {
    return fieldOfView;
  }

  private get halfHeight(): number {
    return this.distance * Math.tan((fieldOfView * Math.PI) / 360);
  }

  get back(): Vector3 {
    const [a, e] = [this.azimuth, this.elevation];
    return new Vector3(Math.cos(e) * Math.sin(a), -Math.cos(e) * Math.cos(a), Math.sin(e));
  }

  get up(): Vector3 {
    const [a, e] = [this.azimuth, this.elevation];
    return new Vector3(-Math.sin(e) * Math.sin(a), Math.sin(e) * Math.cos(a), Math.cos(e));
  }

  get right(): Vector3 {
    return new Vector3(Math.cos(this.azimuth), Math.sin(this.azimuth), 0);
  }

  resize(width: number, height: number): void {
    this.aspect = width / Math.max(height, 1);
    this.height = Math.max(height, 1);
    this.place();
  }

  orbit(dx: number, dy: number): void {
    this.byHand = true;
    this.azimuth -= dx;
    this.elevation = Math.max(-quarter, Math.min(quarter, this.elevation + dy));
    this.place();
  }

  /** Pan by pixels, so that what lies under the pointer stays under it. */
  pan(dx: number, dy: number): void {
    this.byHand = true;
    this.target.addScaledVector(this.right, -dx * this.pixel).addScaledVector(this.up, dy * this.pixel);
    this.place();
  }

  /** Zoom by a factor, holding still the point at (x, y) pixels from the middle of the view. */
  zoom(factor: number, x = 0, y = 0): void {
    this.byHand = true;
    const before = this.pixel;
    this.distance = Math.max(0.5, Math.min(50_000, this.distance * factor));
    const shift = before - this.pixel;
    this.target.addScaledVector(this.right, x * shift).addScaledVector(this.up, -y * shift);
    this.place();
  }

  take(view: ViewName): void {
    this.byHand = true;
    [this.azimuth, this.elevation] = views[view];
    this.place();
  }

  /** Where it looks from, as numbers that can be kept. */
  get stand(): number[] {
    return [...this.target.toArray(), this.distance, this.azimuth, this.elevation, +this.flat];
  }

  /** Look from there again. */
  look([x, y, z, distance, azimuth, elevation, flat]: number[]): void {
    this.target.set(x, y, z);
    Object.assign(this, { distance, azimuth, elevation, flat: flat === 1 });
    this.place();
  }

  /** Let the eye take in a box; some pixels along the edges lie under cards. It is not moved aside, for then it would turn about a
   * place beside the form: as much is left free on the other side. */
  fit(box: Box3, { top, bottom, left }: Covered): void {
    if (box.isEmpty()) {
      this.target.set(0, 0, 0);
      this.distance = 220;
    } else {
      box.getCenter(this.target);
      const radius = Math.max(box.getSize(new Vector3()).length() / 2, 0.5);
      const free = Math.max(0.4, 1 - (0.6 * (top + bottom)) / this.height);
      // In a narrow view the form may reach under what covers its side: it would be too small to work on.
      const across = this.aspect - (2 * Math.min(left, 0.2 * this.aspect * this.height)) / this.height;
      this.distance = radius / Math.sin((fieldOfView * Math.PI) / 360) / Math.max(Math.min(across, free), 0.3);
      this.target.addScaledVector(this.up, ((top - bottom) / 2) * this.pixel);
    }
    this.place();
  }

  place(): void {
    const { back, up } = this;
    for (const camera of [this.perspective, this.parallel]) {
      camera.position.copy(this.target).addScaledVector(back, this.distance);
      camera.up.copy(up);
      camera.lookAt(this.target);
      camera.near = this.distance / 100;
      camera.far = this.distance * 20;
    }
    const h = this.halfHeight;
    this.parallel.near = -this.distance * 10;
    Object.assign(this.parallel, { left: -h * this.aspect, right: h * this.aspect, top: h, bottom: -h });
    this.perspective.aspect = this.aspect;
    this.perspective.updateProjectionMatrix();
    this.parallel.updateProjectionMatrix();
    this.perspective.updateMatrixWorld();
    this.parallel.updateMatrixWorld();
  }
}
