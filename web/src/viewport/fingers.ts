/** Fingers on the view: two of them apart and together zoom, both along pan. */
import type { Eye } from "./camera";

type Place = [number, number];

const apart = ([a, b]: Place[]): number => Math.hypot(a[0] - b[0], a[1] - b[1]);
const middle = ([a, b]: Place[]): Place => [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];

export class Fingers {
  private readonly places = new Map<number, Place>();

  get count(): number {
    return this.places.size;
  }

  put(id: number, x: number, y: number): void {
    this.places.set(id, [x, y]);
  }

  lift(id: number): void {
    this.places.delete(id);
  }

  /** One of two moved, over a view so large. */
  pinch(id: number, x: number, y: number, eye: Eye, host: HTMLElement): void {
    const before = [...this.places.values()];
    this.put(id, x, y);
    if (before.length < 2) return;
    const now = [...this.places.values()];
    const [ax, ay] = middle(before);
    const [bx, by] = middle(now);
    eye.pan(bx - ax, by - ay);
    if (apart(now) > 1) eye.zoom(apart(before) / apart(now), bx - host.clientWidth / 2, by - host.clientHeight / 2);
  }
}
