/** The lines of dimensions: what was measured, and thinner ones that lead to it from the form. */
import { BufferAttribute, BufferGeometry, Group, Points, PointsMaterial } from "three";
import { dimensionsShown, type ShownDimension } from "../live/dimensions";
import { colours } from "../theme/colours";
import { Lines } from "./lines";

export class DimensionLines {
  readonly group = new Group();
  private readonly measured = new Lines(colours.ink, 1.8, { onTop: true });
  private readonly failing = new Lines(colours.fault, 2.6, { onTop: true });
  private readonly helper = new Lines(colours.zinc, 1, { onTop: true, opacity: 0.85 });
  private readonly ends: Points;
  private drawn: ShownDimension[] = [];

  constructor() {
    const material = new PointsMaterial({ size: 6, sizeAttenuation: false, depthTest: false, color: colours.ink });
    this.ends = new Points(new BufferGeometry(), material);
    this.ends.renderOrder = 21;
    this.ends.frustumCulled = false;
    this.group.add(this.measured.object, this.failing.object, this.helper.object, this.ends);
  }

  draw(): void {
    const list = dimensionsShown();
    if (list.length === this.drawn.length && list.every((one, k) => one === this.drawn[k])) return;
    this.drawn = list;
    set(this.measured, list.filter((one) => one.holds !== "fails").map((one) => one.drawn.line));
    set(this.failing, list.filter((one) => one.holds === "fails").map((one) => one.drawn.line));
    const helpers = list.flatMap((one) => [...one.drawn.helper]);
    this.helper.set(helpers, counting(helpers.length / 3), counting(helpers.length / 6));
    const ends = list.flatMap(({ drawn: { line } }) => [...line.slice(0, 3), ...line.slice(-3)]);
    this.ends.visible = ends.length > 0;
    this.ends.geometry.dispose();
    this.ends.geometry = new BufferGeometry();
    this.ends.geometry.setAttribute("position", new BufferAttribute(Float32Array.from(ends), 3));
  }

  dispose(): void {
    for (const line of [this.measured, this.failing, this.helper]) line.dispose();
    this.ends.geometry.dispose();
  }
}

const counting = (count: number): Int32Array => Int32Array.from({ length: count }, (_, k) => k);

/** Lines of points, each from one to the next. */
function set(lines: Lines, runs: Float32Array[]): void {
  const points = runs.flatMap((run) => [...run]);
  const pairs: number[] = [];
  let first = 0;
  for (const run of runs) {
    const count = run.length / 3;
    for (let k = 1; k < count; k++) pairs.push(first + k - 1, first + k);
    first += count;
  }
  lines.set(points, new Int32Array(pairs), counting(pairs.length / 2));
}
