/** The line of a curve: strong where it is seen, faint where something lies in front of it. */
import type { Plane } from "three";
import type { LineArrays } from "../model/types";
import { colours } from "../theme/colours";
import { Lines } from "./lines";

export type LineMark = "plain" | "picked" | "hover";

export class CurveLine {
  private readonly strong: Record<LineMark, Lines> = {
    plain: new Lines(colours.curve, 3), picked: new Lines(colours.selection, 4), hover: new Lines(colours.hover, 4),
  };
  private readonly faint = new Lines(colours.curve, 2, { onTop: true, opacity: 0.35 });
  private mark: LineMark = "plain";

  constructor(private line: LineArrays) {
    this.draw();
  }

  get lines(): Lines[] {
    return [...Object.values(this.strong), this.faint];
  }

  moved(line: LineArrays): void {
    this.line = line;
    this.draw();
  }

  show(mark: LineMark): void {
    if (mark === this.mark) return;
    this.mark = mark;
    this.draw();
  }

  clip(planes: Plane[]): void {
    for (const line of this.lines) line.clip(planes);
  }

  private draw(): void {
    const { points } = this.line;
    const legs = [...Array(Math.max(points.length / 3 - 1, 0)).keys()];
    const ends = legs.flatMap((leg) => [leg, leg + 1]);
    for (const [mark, lines] of Object.entries(this.strong)) lines.set(points, ends, mark === this.mark ? legs : []);
    this.faint.set(points, ends, legs);
  }
}
