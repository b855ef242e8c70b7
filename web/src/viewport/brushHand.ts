/** A brush in a hand that presses: it strokes, is on its way to the form, or is being sized. */
import { useSession } from "../live/stores/session";
import { setValues } from "../live/tooling";
import type { Brush } from "../model/tool";
import type { Values } from "../model/values";
import { BrushStroke, showRing, sizedBy } from "./brushStroke";
import type { Scene } from "./scene";

type At = (event: MouseEvent) => [number, number];

export class BrushHand {
  private stroke: BrushStroke | null = null;
  private sizing: { x: number; y: number; values: Values } | null = null;

  constructor(
    private readonly scene: Scene,
    private readonly brush: Brush,
    event: PointerEvent,
    private readonly at: At,
  ) {
    const [x, y] = at(event);
    if (event.altKey) this.sizing = { x, y, values: useSession.getState().values };
    else this.stroke = BrushStroke.begin(scene, brush, event, x, y);
  }

  /** Whether it lies on no form: a finger turns the view there. */
  get isBeside(): boolean {
    return !this.stroke && !this.sizing;
  }

  move(event: PointerEvent): void {
    const [x, y] = this.at(event);
    if (this.sizing) return this.size(this.sizing, x, y);
    // Begun beside the form, it is a stroke from where it meets it.
    this.stroke ??= BrushStroke.begin(this.scene, this.brush, event, x, y);
    if (!this.stroke) return;
    const passed = event.getCoalescedEvents?.() ?? [];
    for (const one of passed.length ? passed : [event]) this.stroke.follow(one, ...this.at(one));
    this.stroke.show();
    showRing(this.scene, this.brush, x, y, this.stroke);
  }

  up(): void {
    void this.stroke?.keep();
  }

  cancel(): void {
    this.stroke?.drop();
  }

  /** Sideways the radius, up and down the strength: so far as the pointer went, and to where the form is, in its own measure. */
  private size({ x, y, values }: NonNullable<BrushHand["sizing"]>, nowX: number, nowY: number): void {
    setValues({ ...useSession.getState().values, ...sizedBy(this.brush, values, nowX - x, y - nowY, this.scene.eye.pixel) });
    showRing(this.scene, this.brush, x, y);
  }
}
