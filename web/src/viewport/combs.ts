/** Curves on the form with their curvature combs: teeth that stand out as far as the curve bends. */
import { Group } from "three";
import { useCurves } from "../live/stores/curves";
import { colours } from "../theme/colours";
import { Lines } from "./lines";

const tones = { section: colours.river, seam: colours.seam, edges: colours.otter } as const;
type Of = keyof typeof tones;

/** How far the longest tooth stands out, as a share of the curves' own extent. */
const longest = 0.16;

export class Combs {
  readonly group = new Group();
  private readonly curves: Record<Of, Lines>;
  private readonly teeth: Record<Of, Lines>;
  private drawn: unknown = null;
  private drawnComb = 0;

  constructor() {
    const lines = (width: number, opacity: number) =>
      Object.fromEntries(Object.entries(tones).map(([of, tone]) => [of, new Lines(tone, width, { onTop: true, opacity })])) as Record<Of, Lines>;
    this.curves = lines(2.6, 1);
    this.teeth = lines(1.2, 0.75);
    for (const line of [...Object.values(this.curves), ...Object.values(this.teeth)]) this.group.add(line.object);
  }

  draw(): void {
    const { list, comb } = useCurves.getState();
    if (list === this.drawn && comb === this.drawnComb) return;
    [this.drawn, this.drawnComb] = [list, comb];
    let most = 0;
    const [low, high] = [[Infinity, Infinity, Infinity], [-Infinity, -Infinity, -Infinity]];
    for (const { points, bending } of list)
      for (let i = 0; i < points.length; i += 3) {
        most = Math.max(most, Math.hypot(bending[i], bending[i + 1], bending[i + 2]));
        for (let k = 0; k < 3; k++) {
          low[k] = Math.min(low[k], points[i + k]);
          high[k] = Math.max(high[k], points[i + k]);
        }
      }
    const extent = Math.hypot(...high.map((x, k) => x - low[k]));
    const scale = most > 0 ? (comb * longest * extent) / most : 0;
    for (const of of Object.keys(tones) as Of[]) {
      const own = list.filter((curve) => curve.of === of);
      const flat: number[] = [];
      const along: number[] = [];
      const teeth: number[] = [];
      const tooth: number[] = [];
      for (const { points, bending, closed } of own) {
        const first = flat.length / 3;
        const count = points.length / 3;
        for (const x of points) flat.push(x);
        for (let i = 0; i + 1 < count; i++) along.push(first + i, first + i + 1);
        if (closed) along.push(first + count - 1, first);
        const base = teeth.length / 3;
        // Teeth point away from the centre of the bend; their tips are joined to a line of their own.
        for (let i = 0; i < count; i++) {
          for (let k = 0; k < 3; k++) teeth.push(points[3 * i + k]);
          for (let k = 0; k < 3; k++) teeth.push(points[3 * i + k] - scale * bending[3 * i + k]);
          if (i % 2 === 0) tooth.push(base + 2 * i, base + 2 * i + 1);
          if (i) tooth.push(base + 2 * i - 1, base + 2 * i + 1);
        }
        if (closed && count > 1) tooth.push(base + 2 * count - 1, base + 1);
      }
      this.curves[of].set(flat, new Int32Array(along), [...Array(along.length / 2).keys()]);
      this.teeth[of].set(teeth, new Int32Array(tooth), comb > 0 ? [...Array(tooth.length / 2).keys()] : []);
    }
  }

  dispose(): void {
    for (const line of [...Object.values(this.curves), ...Object.values(this.teeth)]) line.dispose();
  }
}
