/** When the viewport draws: once for all that changed, and in haste while something moves on a machine that draws by itself. */
import { tookLately } from "../live/asking";
import { toolInHand } from "../live/stores/session";
import { useShow } from "../live/stores/show";

/** Where previews take longer than so many milliseconds the handle goes ahead of the form. */
const together = 80;
/** Milliseconds without a move after which all is drawn whole again. */
const rest = 200;

interface Drawing {
  draw(): void;
  /** Draw large forms by fewer triangles and pixels, or whole again; says whether any is large. */
  hasten(on: boolean): boolean;
  /** Whether something is shown that looks better where there is time for it. */
  wantsTime(): boolean;
}

export class Pace {
  private waiting = 0;
  private soon = 0;
  private resting = 0;
  private hasty = false;
  private finer = 0;
  /** All rests: there is time for what makes the picture finer. */
  private rests = false;

  constructor(
    private readonly host: HTMLElement,
    private readonly drawing: Drawing,
    private readonly isSlow: boolean,
  ) {}

  /** With the answer that is on its way, so that handle and form are drawn once, together; or a little later, without it. */
  drawSoon(): void {
    if (tookLately() > together) return this.draw();
    if (this.waiting || this.soon) return;
    this.host.dataset.drawing = "";
    this.soon = window.setTimeout(() => {
      this.soon = 0;
      this.draw();
    }, Math.min(2 * tookLately() + 8, together));
  }

  draw(): void {
    clearTimeout(this.soon);
    this.soon = 0;
    if (this.waiting) return;
    this.host.dataset.drawing = "";
    this.waiting = requestAnimationFrame(() => {
      this.waiting = 0;
      const fine = this.takesTime;
      const later = !fine && !this.hasty && this.wantsTime;
      if (!this.hasty && !later) delete this.host.dataset.drawing;
      this.drawing.draw();
      this.rests = false;
      clearTimeout(this.finer);
      if (later)
        this.finer = window.setTimeout(() => {
          this.rests = true;
          this.draw();
        }, rest);
    });
  }

  private get wantsTime(): boolean {
    return !useShow.getState().quick && this.drawing.wantsTime();
  }

  /** Whether the next frame has time for what is finer: without a graphics card only once all rests. */
  get takesTime(): boolean {
    return this.wantsTime && (!this.isSlow || this.rests) && !this.hasty;
  }

  /** Something moves. */
  moving(): void {
    // What a brush does is finer than what is drawn in haste.
    if (!(this.isSlow || useShow.getState().quick) || toolInHand()?.is === "brush") return;
    this.hasty = this.drawing.hasten(true);
    if (!this.hasty) return;
    clearTimeout(this.resting);
    this.resting = window.setTimeout(() => {
      this.hasty = false;
      this.drawing.hasten(false);
      this.draw();
    }, Math.max(rest, 2 * tookLately()));
  }

  stop(): void {
    cancelAnimationFrame(this.waiting);
    clearTimeout(this.soon);
    clearTimeout(this.resting);
    clearTimeout(this.finer);
  }
}
