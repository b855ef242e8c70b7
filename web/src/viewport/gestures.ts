/** Mouse, pen and touch on the viewport: pick, box, lasso, drag the handle, set points, orbit, pan, zoom. */
import { useBench } from "../live/bench";
import { useLook, type Vec } from "../live/look";
import { useReach } from "../live/reach";
import { reachChanged } from "../panels/ReachBar";
import { toolById } from "../tools/all";
import type { Part } from "../tools/tool";
import { HandleDrag } from "./handleDrag";
import { pickAt, pickBand, pickLoop } from "./picks";
import { type Spot, useSketch } from "./pointing";
import { rounded } from "./rounding";
import type { Scene } from "./scene";
import { spotAt } from "./snap";

const slack = 4;

type Going =
  | { what: "orbit" }
  | { what: "pan" }
  | { what: "pinch" }
  | { what: "point"; x: number; y: number }
  | { what: "paint"; piece: string | null; ids: Set<number> }
  | { what: "pick"; x: number; y: number; add: boolean; band: boolean; line: [number, number][] }
  | { what: "handle"; drag: HandleDrag };

export class Gestures {
  private going: Going | null = null;
  private lastX = 0;
  private lastY = 0;
  private readonly touches = new Map<number, [number, number]>();
  /** The tool to return to when a key that was held for one drag is let go. */
  private springBack: string | null = null;
  private springDragged = false;
  private readonly off = new AbortController();

  constructor(
    private readonly host: HTMLElement,
    private readonly scene: Scene,
    private readonly band: HTMLElement,
    private readonly lasso: SVGPolylineElement,
  ) {
    const on = <K extends keyof HTMLElementEventMap>(type: K, act: (event: HTMLElementEventMap[K]) => void) =>
      host.addEventListener(type, act, { signal: this.off.signal, passive: false });
    on("pointerdown", (event) => this.down(event));
    on("pointermove", (event) => this.move(event));
    on("pointerup", (event) => this.up(event));
    on("pointercancel", (event) => {
      this.touches.delete(event.pointerId);
      this.cancel();
    });
    on("pointerleave", () => {
      if (this.going) return;
      useBench.getState().setHover(null);
      useSketch.setState({ hover: null });
    });
    on("dblclick", (event) => {
      if (this.pointing || event.button !== 0) return;
      const at = this.at(event);
      void useBench.getState().cleared().then(() => pickLoop(this.scene, ...at, event.shiftKey));
    });
    on("contextmenu", (event) => event.preventDefault());
    on("wheel", (event) => {
      event.preventDefault();
      if (this.widen(Math.exp(-event.deltaY * 0.0012))) return;
      const { clientWidth, clientHeight } = host;
      const [x, y] = this.at(event);
      this.scene.eye.zoom(Math.exp(event.deltaY * 0.0012), x - clientWidth / 2, y - clientHeight / 2);
      this.scene.draw();
    });
    window.addEventListener("keydown", (event) => this.type(event), { signal: this.off.signal, capture: true });
    window.addEventListener("keyup", (event) => this.letGo(event), { signal: this.off.signal });
  }

  dispose(): void {
    this.off.abort();
  }

  private at(event: MouseEvent): [number, number] {
    const { left, top } = this.host.getBoundingClientRect();
    return [event.clientX - left, event.clientY - top];
  }

  /** While something is dragged that reaches, the wheel and two keys make its reach wider or narrower. */
  private widen(by: number): boolean {
    if (this.going?.what !== "handle" || !toolById(useBench.getState().toolId)?.reaches) return false;
    const { radius } = useReach.getState();
    const { pixel } = this.scene.eye;
    // From nothing it begins at what can just be seen.
    const next = radius > 0 ? radius * by : by > 1 ? 24 * pixel : 0;
    useReach.setState({ radius: next < 4 * pixel ? 0 : Object.values(rounded({ next }, pixel))[0] });
    reachChanged();
    return true;
  }

  private get pointing() {
    const pointing = toolById(useBench.getState().toolId)?.pointing;
    return pointing?.active() ? pointing : null;
  }

  private get paints() {
    return toolById(useBench.getState().toolId)?.paints ?? null;
  }

  /** Add to a stroke what lies under the pointer; it is shown as picked meanwhile. */
  private paint(going: Extract<Going, { what: "paint" }>, x: number, y: number): void {
    const { paints } = this;
    if (!paints) return;
    const bench = useBench.getState();
    const found = this.scene.picker(bench.through).at(paints.kind, x, y);
    if (!found || (going.piece !== null && found.piece !== going.piece)) return;
    going.piece = found.piece;
    going.ids.add(found.id);
    useBench.setState({ piece: found.piece, pickKind: paints.kind, picked: [...going.ids], others: [], hover: null });
  }

  private down(event: PointerEvent): void {
    const [x, y] = this.at(event);
    if (event.pointerType === "touch") this.touches.set(event.pointerId, [x, y]);
    if (this.touches.size === 2) {
      this.cancel();
      this.going = { what: "pinch" };
      return;
    }
    if (this.going) return;
    this.host.focus({ preventScroll: true });
    this.host.setPointerCapture(event.pointerId);
    [this.lastX, this.lastY] = [x, y];
    if (event.button === 2) this.going = event.shiftKey || this.scene.side ? { what: "pan" } : { what: "orbit" };
    else if (event.button === 1) this.going = { what: "pan" };
    else if (event.button === 0) {
      // Shift adds to the picked, also where the handle lies in front.
      const part = event.shiftKey ? null : this.partAt(x, y);
      if (part) this.going = this.grasp(part, x, y);
      else if (this.pointing) this.going = { what: "point", x, y };
      else if (this.paints) {
        this.going = { what: "paint", piece: null, ids: new Set() };
        this.paint(this.going, x, y);
      }
      else if (!useLook.getState().compare)
        this.going = { what: "pick", x, y, add: event.shiftKey, band: false, line: [[x, y]] };
    }
  }

  private partAt(x: number, y: number): Part | null {
    return this.scene.handle.hover(this.scene.picker(true).ray(x, y));
  }

  private grasp(part: Part, x: number, y: number): Going {
    if (this.springBack && useBench.getState().toolId === "extrude") this.springDragged = true;
    return { what: "handle", drag: new HandleDrag(this.scene, part, x, y) };
  }

  private move(event: PointerEvent): void {
    const [x, y] = this.at(event);
    const [dx, dy] = [x - this.lastX, y - this.lastY];
    const { going, scene } = this;
    if (going?.what === "pinch") return this.pinch(event, x, y);
    if (!going) {
      this.look(x, y);
      return;
    }
    if (going.what === "orbit") scene.eye.orbit(dx * 0.008, dy * 0.008);
    else if (going.what === "pan") scene.eye.pan(dx, dy);
    else if (going.what === "point") this.look(x, y);
    else if (going.what === "paint") this.paint(going, x, y);
    else if (going.what === "handle") going.drag.follow(x, y);
    else {
      going.band ||= Math.hypot(x - going.x, y - going.y) > slack;
      if (going.band && useLook.getState().lasso) {
        going.line.push([x, y]);
        this.lasso.setAttribute("points", going.line.map((p) => p.join(",")).join(" "));
        this.lasso.style.display = "block";
      } else if (going.band) this.drawBand(going.x, going.y, x, y);
    }
    [this.lastX, this.lastY] = [x, y];
    scene.draw();
  }

  /** Show what a click here would take. */
  private look(x: number, y: number): void {
    const { scene } = this;
    const bench = useBench.getState();
    const part = this.partAt(x, y);
    this.host.style.cursor = part ? "grab" : this.pointing ? "crosshair" : "default";
    if (this.pointing) {
      useSketch.setState({ hover: part ? null : this.spot(x, y) });
      bench.setHover(null);
    } else bench.setHover(part ? null : scene.picker(bench.through).at(this.paints?.kind ?? bench.pickKind, x, y));
    scene.draw();
  }

  /** Two fingers: apart and together zoom, both along pan. */
  private pinch(event: PointerEvent, x: number, y: number): void {
    const before = [...this.touches.values()];
    this.touches.set(event.pointerId, [x, y]);
    const now = [...this.touches.values()];
    if (before.length < 2) return;
    const apart = (p: [number, number][]) => Math.hypot(p[0][0] - p[1][0], p[0][1] - p[1][1]);
    const middle = (p: [number, number][]) => [(p[0][0] + p[1][0]) / 2, (p[0][1] + p[1][1]) / 2];
    const [ax, ay] = middle(before);
    const [bx, by] = middle(now);
    const { eye } = this.scene;
    eye.pan(bx - ax, by - ay);
    if (apart(now) > 1) eye.zoom(apart(before) / apart(now), bx - this.host.clientWidth / 2, by - this.host.clientHeight / 2);
    this.scene.draw();
  }

  private up(event: PointerEvent): void {
    const { going } = this;
    const [x, y] = this.at(event);
    this.touches.delete(event.pointerId);
    if (going?.what === "pinch" && this.touches.size) return;
    this.going = null;
    this.band.style.display = this.lasso.style.display = "none";
    if (!going) return;
    const bench = useBench.getState();
    if (going.what === "handle") void going.drag.keep();
    else if (going.what === "point") {
      if (Math.hypot(x - going.x, y - going.y) <= slack) this.setPoint(x, y);
    } else if (going.what === "paint") {
      if (going.piece !== null) this.paints?.done(going.piece, [...going.ids]);
    } else if (going.what === "pick") {
      // A preview may have other elements than the design: what is picked is picked of the design.
      void bench.cleared().then(() => {
        if (going.band) pickBand(this.scene, going, x, y);
        else pickAt(this.scene, x, y, going.add);
      });
    }
    this.scene.draw();
  }

  private setPoint(x: number, y: number): void {
    const spot = this.spot(x, y);
    if (spot) this.pointing?.click(spot, this.scene.eye.back.toArray() as Vec);
  }

  /** What the tool in hand would take here. */
  private spot(x: number, y: number): Spot | null {
    const { pointing, scene } = this;
    const picker = scene.picker(true);
    if (!pointing?.query) return pointing?.find?.(picker, x, y) ?? null;
    return spotAt(picker, scene.references, useBench.getState().design, x, y, pointing.query());
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
    this.band.style.display = this.lasso.style.display = "none";
    if (going?.what === "paint") useBench.getState().pick(null, []);
    else if (going?.what === "handle") going.drag.drop();
  }

  /** While the handle is held: digits make the drag exact, Enter or letting go keeps it, Esc drops it. */
  private type(event: KeyboardEvent): void {
    const { going } = this;
    if (!going) return this.hold(event);
    if (event.key === "Escape") this.cancel();
    else if (going.what !== "handle") return;
    else if (event.key === "Enter") {
      this.going = null;
      void going.drag.keep();
    } else if (event.key === "PageUp" || event.key === "PageDown") this.widen(event.key === "PageUp" ? 1.15 : 1 / 1.15);
    else going.drag.type(event.key);
    event.preventDefault();
    event.stopPropagation();
  }

  /** Points being set take Enter, Backspace and Escape; X held with the move tool extrudes for one drag. */
  private hold(event: KeyboardEvent): void {
    const inField = event.target instanceof HTMLInputElement || event.target instanceof HTMLTextAreaElement;
    const { pointing } = this;
    if (pointing && !inField && pointing.key(event.key)) {
      event.preventDefault();
      event.stopPropagation();
      this.scene.draw();
    } else if (event.key.toLowerCase() === "x" && !inField && !event.ctrlKey && !event.metaKey) {
      if (event.repeat) {
        event.stopPropagation();
        return;
      }
      const { toolId } = useBench.getState();
      this.springBack = toolId === "move" || toolId === "turn" || toolId === "size" ? toolId : null;
      this.springDragged = false;
    }
  }

  private letGo(event: KeyboardEvent): void {
    if (event.key.toLowerCase() !== "x" || !this.springBack) return;
    if (this.springDragged) useBench.getState().takeTool(this.springBack);
    this.springBack = null;
  }
}
