/** A soft shadow on the floor, where forms come near to it: it tells how a form stands. Made of points, not drawn by the card. */
import { BufferAttribute, BufferGeometry, DataTexture, LinearFilter, Mesh, MeshBasicMaterial, RGBAFormat } from "three";

/** Squares to a side, and how many of them a shadow spreads over. */
const side = 96;
const spread = 5;
const rounds = 2;
/** How dark it is where a form touches, and the share of the form's width within which it darkens at all. */
const darkest = 0.34;
const reaches = 0.35;

export class FloorShadow {
  readonly mesh: Mesh<BufferGeometry, MeshBasicMaterial>;
  private readonly pixels = new Uint8Array(4 * side * side);
  private readonly texture = new DataTexture(this.pixels, side, side, RGBAFormat);

  constructor() {
    this.texture.magFilter = this.texture.minFilter = LinearFilter;
    for (let i = 0; i < side * side; i++) this.pixels.set([52, 40, 34], 4 * i);
    const geometry = new BufferGeometry();
    geometry.setAttribute("position", new BufferAttribute(new Float32Array(12), 3));
    geometry.setAttribute("uv", new BufferAttribute(new Float32Array([0, 0, 1, 0, 1, 1, 0, 1]), 2));
    geometry.setIndex([0, 1, 2, 0, 2, 3]);
    this.mesh = new Mesh(geometry, new MeshBasicMaterial({ map: this.texture, transparent: true, depthWrite: false }));
    this.mesh.renderOrder = -9;
    this.mesh.frustumCulled = false;
    this.mesh.visible = false;
  }

  /** Under points of surfaces, each a flat list in mm, on a floor. */
  lay(surfaces: ArrayLike<number>[], floor: number): void {
    let [x0, y0, x1, y1] = [Infinity, Infinity, -Infinity, -Infinity];
    for (const points of surfaces)
      for (let i = 0; i < points.length; i += 3) {
        x0 = Math.min(x0, points[i]);
        x1 = Math.max(x1, points[i]);
        y0 = Math.min(y0, points[i + 1]);
        y1 = Math.max(y1, points[i + 1]);
      }
    this.mesh.visible = x1 > x0 && y1 > y0;
    if (!this.mesh.visible) return;
    const wide = Math.max(x1 - x0, y1 - y0);
    const around = 0.22 * wide;
    const cell = (wide + 2 * around) / side;
    const [left, low] = [(x0 + x1) / 2 - (side * cell) / 2, (y0 + y1) / 2 - (side * cell) / 2];
    let dark: Float32Array = new Float32Array(side * side);
    for (const points of surfaces)
      for (let i = 0; i < points.length; i += 3) {
        const at = Math.floor((points[i + 1] - low) / cell) * side + Math.floor((points[i] - left) / cell);
        const near = Math.exp(-(points[i + 2] - floor) / (reaches * wide));
        if (near > dark[at]) dark[at] = near;
      }
    dark = blurred(dark);
    const most = Math.max(...dark, 1e-9);
    for (let i = 0; i < dark.length; i++) this.pixels[4 * i + 3] = 255 * darkest * Math.min(1, dark[i] / most) ** 1.1;
    this.texture.needsUpdate = true;
    const [right, high] = [left + side * cell, low + side * cell];
    const corners = this.mesh.geometry.getAttribute("position") as BufferAttribute;
    (corners.array as Float32Array).set([left, low, floor, right, low, floor, right, high, floor, left, high, floor]);
    corners.needsUpdate = true;
  }

  dispose(): void {
    this.mesh.geometry.dispose();
    this.mesh.material.dispose();
    this.texture.dispose();
  }
}

/** By running means along rows and columns, a few times over: all but a bell. What points lie too far apart for is closed by it. */
function blurred(values: Float32Array): Float32Array {
  let now = values;
  for (let k = 0; k < rounds; k++) now = alongColumns(alongColumns(now));
  return now;
}

/** A running mean along each row, and rows and columns exchanged: done twice it has gone both ways. */
function alongColumns(values: Float32Array): Float32Array {
  const made = new Float32Array(side * side);
  for (let row = 0; row < side; row++) {
    let sum = 0;
    for (let at = -spread; at < side; at++) {
      if (at + spread < side) sum += values[row * side + at + spread];
      if (at - spread - 1 >= 0) sum -= values[row * side + at - spread - 1];
      if (at >= 0) made[at * side + row] = sum / (2 * spread + 1);
    }
  }
  return made;
}
