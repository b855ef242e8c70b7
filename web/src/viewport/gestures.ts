/** Mouse and pen on the viewport: pick, box, drag the handle, orbit, pan, zoom. Typing during a drag makes it exact. */
import { useBench } from "../live/bench";
import { toolById } from "../tools/all";
import type { Drag, Part, Values } from "../tools/tool";
import type { Scene } from "./scene";

const slack = 4;

type Going =
  | { what: "orbit" }
  | { what: "pan" }
  | { what: "pick"; x: number; y: number; add: boolean; box: boolean }
  | { what: "handle"; follow: (x: number, y: number) => Drag; typed: string; last: Drag | null };

export class Gestures {
  private going: Going | null = null;
  private lastX = 0;
  private lastY = 0;
  private readonly off = new AbortController();

  constructor(
    private readonly host: HTMLElement,
    private readonly scene: Scene,
    private readonly band: HTMLElement,
  ) {
    const on = <K extends keyof HTMLElementEventMap>(type: K, act: (event: HTMLElementEventMap[K]) => void) =>
      host.addEventListener(type, act, { signal: this.off.signal, passive: false });
    on("pointerdown", (event) => this.down(event));
    on("pointermove", (event) => this.move(event));
    on("pointerup", (event) => this.up(event));
    on("pointercancel", () => this.cancel());
    on("pointerleave", () => !this.going && useBench.getState().setHover(null));
    on("contextmenu", (event) => event.preventDefault());
    on("wheel", (event) => {
      event.preventDefault();
      const { clientWidth, clientHeight } = host;
      const [x, y] = this.at(event);
      this.scene.eye.zoom(Math.exp(event.deltaY * 0.0012), x - clientWidth / 2, y - clientHeight / 2);
      this.scene.draw();
    });
    window.addEventListener("keydown", (event) => this.type(event), { signal: this.off.signal, capture: true });
  }

  dispose(): void {
    this.off.abort();
  }

  private at(event: MouseEvent): [number, number] {
    const { left, top } = this.host.getBoundingClientRect();
    return [event.clientX - left, event.clientY - top];
  }

  private down(event: PointerEvent): void {
    if (this.going) return;
    this.host.focus({ preventScroll: true });
    this.host.setPointerCapture(event.pointerId);
    const [x, y] = this.at(event);
    [this.lastX, this.lastY] = [x, y];
    if (event.button === 2) this.going = event.shiftKey ? { what: "pan" } : { what: "orbit" };
    else if (event.button === 1) this.going = { what: "pan" };
    else if (event.button === 0) {
      // Shift adds to the picked, also where the handle lies in front.
      const part = event.shiftKey ? null : this.partAt(x, y);
      this.going = part ? this.grasp(part, x, y) : { what: "pick", x, y, add: event.shiftKey, box: false };
    }
  }

  private partAt(x: number, y: number): Part | null {
    return this.scene.handle.hover(this.scene.picker(true).ray(x, y));
  }

  private grasp(part: Part, x: number, y: number): Going {
    const { scene } = this;
    const start = scene.picker(true).ray(x, y);
    const follow = scene.handle.begin(part, start, scene.eye.back, scene.eye.pixel);
    return {
      what: "handle",
      typed: "",
      last: null,
      follow: (nx, ny) => follow(scene.picker(true).ray(nx, ny), nx - x, ny - y),
    };
  }

  private move(event: PointerEvent): void {
    const [x, y] = this.at(event);
    const [dx, dy] = [x - this.lastX, y - this.lastY];
    const { going, scene } = this;
    const bench = useBench.getState();
    if (!going) {
      const part = this.partAt(x, y);
      this.host.style.cursor = part ? "grab" : "default";
      bench.setHover(part ? null : scene.picker(bench.through).at(bench.pickKind, x, y));
      scene.draw();
      return;
    }
    if (going.what === "orbit") scene.eye.orbit(dx * 0.008, dy * 0.008);
    else if (going.what === "pan") scene.eye.pan(dx, dy);
    else if (going.what === "handle") {
      going.last = going.follow(x, y);
      if (!going.typed) this.drag(going.last);
    } else {
      going.box ||= Math.hypot(x - going.x, y - going.y) > slack;
      if (going.box) this.drawBand(going.x, going.y, x, y);
    }
    [this.lastX, this.lastY] = [x, y];
    scene.draw();
  }

  private drag(drag: Drag): void {
    const dragged = toolById(useBench.getState().toolId)?.dragged?.(drag);
    if (dragged) useBench.getState().setValues(rounded(dragged.values, this.scene.eye.pixel));
  }

  private up(event: PointerEvent): void {
    const { going } = this;
    const [x, y] = this.at(event);
    this.going = null;
    this.band.style.display = "none";
    if (!going) return;
    const bench = useBench.getState();
    if (going.what === "handle") {
      // One gesture, one step: letting go keeps what the drag has come to.
      if (bench.touched) bench.apply();
    } else if (going.what === "pick") {
      if (going.box) this.pickBox(going.x, going.y, x, y, going.add);
      else this.pickAt(x, y, going.add);
    }
  }

  private pickAt(x: number, y: number, add: boolean): void {
    const bench = useBench.getState();
    const hit = this.scene.picker(bench.through).at(bench.pickKind, x, y);
    if (!hit) {
      if (!add) bench.pick(null, []);
      return;
    }
    const same = bench.piece === hit.piece;
    if (!add || !same) bench.pick(hit.piece, [hit.id]);
    else if (bench.picked.includes(hit.id)) bench.pick(hit.piece, bench.picked.filter((id) => id !== hit.id));
    else bench.pick(hit.piece, [...bench.picked, hit.id]);
  }

  private pickBox(x0: number, y0: number, x1: number, y1: number, add: boolean): void {
    const bench = useBench.getState();
    const view = this.scene.view(bench.piece) ?? this.scene.shownViews()[0];
    if (!view) return;
    const box: [number, number, number, number] = [Math.min(x0, x1), Math.min(y0, y1), Math.max(x0, x1), Math.max(y0, y1)];
    const found = this.scene.picker(bench.through).inBox(bench.pickKind, view, box, x1 < x0);
    bench.pick(view.id, add ? [...new Set([...bench.picked, ...found])] : found);
  }

  /** Left to right takes what is wholly inside (a whole line), right to left what it touches (a dashed line). */
  private drawBand(x0: number, y0: number, x1: number, y1: number): void {
    Object.assign(this.band.style, {
      display: "block",
      left: `${Math.min(x0, x1)}px`,
      top: `${Math.min(y0, y1)}px`,
      width: `${Math.abs(x1 - x0)}px`,
      height: `${Math.abs(y1 - y0)}px`,
      borderStyle: x1 < x0 ? "dashed" : "solid",
    });
  }

  private cancel(): void {
    const { going } = this;
    this.going = null;
    this.band.style.display = "none";
    if (going?.what === "handle") useBench.getState().back();
  }

  /** While the handle is held: digits make the drag exact, Enter or letting go keeps it, Esc drops it. */
  private type(event: KeyboardEvent): void {
    const { going } = this;
    if (!going) return;
    if (event.key === "Escape") this.cancel();
    else if (going.what !== "handle") return;
    else if (event.key === "Enter") {
      this.going = null;
      if (useBench.getState().touched) useBench.getState().apply();
    } else if (/^[\d.\-]$/.test(event.key) || event.key === "Backspace") {
      going.typed = event.key === "Backspace" ? going.typed.slice(0, -1) : going.typed + event.key;
      const amount = Number(going.typed);
      const tool = toolById(useBench.getState().toolId);
      const dragged = going.last && tool?.dragged?.(going.last);
      if (tool && dragged && Number.isFinite(amount)) {
        const others = Object.fromEntries(tool.fields.map((f) => [f.name, f.initial]));
        const values = { ...others, [dragged.field]: amount };
        useBench.getState().setValues(tool.typed?.(values, dragged.field) ?? values);
      }
    }
    event.preventDefault();
    event.stopPropagation();
  }
}

/** Round to what a pixel can tell: no drag means 12.3048771 mm. */
function rounded(values: Values, pixel: number): Values {
  const digits = Math.max(0, Math.min(4, Math.ceil(-Math.log10(pixel)) + 0));
  return Object.fromEntries(Object.entries(values).map(([name, value]) => [name, Number(value.toFixed(digits)) + 0]));
}
