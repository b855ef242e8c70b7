/** The grid: its spacing follows the zoom in steps of 1, 2 and 5, and in a flat view it lies square to the eye. */
import { BufferAttribute, BufferGeometry, LineBasicMaterial, LineSegments, Quaternion, Vector3 } from "three";
import type { Eye } from "./camera";

const lines = 40;
const wantedPixels = 34;

/** The round number of mm, 1, 2 or 5 times a power of ten, that is nearest above. */
export function roundSpacing(least: number): number {
  const power = 10 ** Math.floor(Math.log10(least));
  return [1, 2, 5, 10].map((m) => m * power).find((s) => s >= least * 0.999) ?? 10 * power;
}

export class Grid {
  readonly object: LineSegments;
  /** Whether the grid goes by the design's inches: then spacings are round in inches. */
  unit = 1;
  spacing = 10;
  private drawn = "";

  constructor() {
    this.object = new LineSegments(new BufferGeometry(), new LineBasicMaterial({ vertexColors: true }));
    this.object.frustumCulled = false;
    this.object.renderOrder = -10;
  }

  /** Lay the grid under the form: on the floor, or through the target where the view is flat and along an axis. */
  lay(eye: Eye, floor: number): void {
    this.spacing = roundSpacing((wantedPixels * eye.pixel) / this.unit) * this.unit;
    if (this.drawn !== String(this.spacing)) {
      this.drawn = String(this.spacing);
      this.build();
    }
    const back = eye.back;
    const axis = [back.x, back.y, back.z].findIndex((x) => Math.abs(x) > 0.9999);
    const square = eye.flat && axis >= 0;
    const normal = square ? back.clone().round() : new Vector3(0, 0, 1);
    this.object.quaternion.copy(new Quaternion().setFromUnitVectors(new Vector3(0, 0, 1), normal));
    const round = (x: number) => Math.round(x / (5 * this.spacing)) * 5 * this.spacing;
    const at = eye.target.clone().set(round(eye.target.x), round(eye.target.y), round(eye.target.z));
    if (square) at.setComponent(axis, -back.getComponent(axis) * eye.distance * 5);
    else at.z = floor;
    this.object.position.copy(at);
  }

  private build(): void {
    const points: number[] = [];
    const tones: number[] = [];
    const end = lines * this.spacing;
    for (let i = -lines; i <= lines; i++) {
      const strong = i % 5 === 0;
      const at = i * this.spacing;
      points.push(at, -end, 0, at, end, 0, -end, at, 0, end, at, 0);
      const tone = strong ? [0.62, 0.59, 0.53] : [0.79, 0.76, 0.69];
      for (let k = 0; k < 4; k++) tones.push(...tone);
    }
    const { geometry } = this.object;
    geometry.setAttribute("position", new BufferAttribute(new Float32Array(points), 3));
    geometry.setAttribute("color", new BufferAttribute(new Float32Array(tones), 3));
  }
}
