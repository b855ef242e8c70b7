/** Mouse, pen and touch on the viewport: pick, box, lasso, drag the handle, set points, orbit, pan, zoom. */
import { contextNow } from "../live/context";
import { hands } from "../live/hands";
import { cleared, give, turns } from "../live/line";
import { pick } from "../live/picks";
import { changeReach } from "../live/reaching";
import { useBodies } from "../live/stores/bodies";
import { useDesign } from "../live/stores/design";
import { setMapUnder } from "../live/stores/mapUnder";
import { setHover, usePicking } from "../live/stores/picking";
import { useReach } from "../live/stores/reach";
import { toolInHand, tools, useSession } from "../live/stores/session";
import { goToWrong } from "../live/stores/wrong";
import { useShow } from "../live/stores/show";
import { setRing } from "../live/stores/ring";
import { setDrawn, useSpot } from "../live/stores/sketch";
import { takeTool } from "../live/tooling";
import { roundedTo } from "../model/fields";
import { keyOf } from "../model/keys";
import type { Spot } from "../model/sketch";
import { type Brush, doesReach, type Part, type Pointing, type Strokes } from "../model/tool";
import { BrushHand } from "./brushHand";
import { showRing } from "./brushStroke";
import { Fingers } from "./fingers";
import { HandleDrag } from "./handleDrag";
import { mapUnder } from "./mapUnder";
import { pickAt, pickBand, pickLoop } from "./picks";
import type { Scene } from "./scene";
import { drawBand } from "./band";
import { dragLight } from "./lightDrag";
import { spotAt } from "./snap";
import { spotOnBody } from "./bodyEdges";

const slack = 4;

type Going =
  | { what: "orbit"; tap?: [number, number] }
  | { what: "pan" }
  | { what: "light" }
  | { what: "pinch" }
  | { what: "point"; x: number; y: number; line: Spot[] }
  | { what: "brush"; hand: BrushHand }
  | { what: "paint"; piece: string | null; ids: Set<number> }
  | { what: "pick"; x: number; y: number; add: boolean; band: boolean; line: [number, number][] }
  | { what: "handle"; drag: HandleDrag };

export class Gestures {
  private going: Going | null = null;
  private lastX = 0;
  private lastY = 0;
  private readonly touches = new Fingers();
  /** The tool to return to when a key that was held for one drag is let go. */
  private springBack: string | null = null;
  private sprung: string | null = null;
  private springDragged = false;
  private isSpringHeld = false;
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
      this.touches.lift(event.pointerId);
      this.cancel();
    });
    on("pointerleave", () => {
      if (this.going) return;
      setHover(null);
      setSpot(null);
      setMapUnder(null);
      setRing(null);
    });
    on("dblclick", (event) => {
      if (this.pointing || this.brush || event.button !== 0) return;
      const at = this.at(event);
      void cleared().then(() => pickLoop(this.scene, ...at, event.shiftKey));
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
    if (this.going?.what !== "handle" || !doesReach(toolInHand())) return false;
    const { radius } = useReach.getState();
    const { pixel } = this.scene.eye;
    // From nothing it begins at what can just be seen.
    const next = radius > 0 ? radius * by : by > 1 ? 24 * pixel : 0;
    changeReach({ radius: next < 4 * pixel ? 0 : roundedTo({ next }, pixel).next });
    return true;
  }

  private get pointing(): Pointing | null {
    const pointing = toolInHand()?.pointing;
    return pointing?.active(contextNow()) ? pointing : null;
  }

  private get paints(): Strokes | null {
    const tool = toolInHand();
    return tool?.is === "strokes" ? tool : null;
  }

  /** Add to a stroke what lies under the pointer; it is shown as picked meanwhile. */
  private paint(going: Extract<Going, { what: "paint" }>, x: number, y: number): void {
    const { paints } = this;
    if (!paints) return;
    const found = this.scene.freePicker(usePicking.getState().through).at(paints.kind, x, y);
    if (!found || (going.piece !== null && found.piece !== going.piece)) return;
    going.piece = found.piece;
    going.ids.add(found.id);
    usePicking.setState({ piece: found.piece, pickKind: paints.kind, picked: [...going.ids], others: [] });
    setHover(null);
  }

  private down(event: PointerEvent): void {
    const [x, y] = this.at(event);
    if (event.pointerType === "touch") this.touches.put(event.pointerId, x, y);
    if (this.touches.count === 2) {
      this.cancel();
      this.going = { what: "pinch" };
      return;
    }
    if (this.going) return;
    this.host.focus({ preventScroll: true });
    this.host.setPointerCapture(event.pointerId);
    [this.lastX, this.lastY] = [x, y];
    if (event.button === 2) this.going = { what: event.ctrlKey ? "light" : event.shiftKey || this.scene.side ? "pan" : "orbit" };
    else if (event.button === 1) this.going = { what: "pan" };
    else if (event.button === 0) {
      // Shift adds to the picked, also where the handle lies in front.
      const part = event.shiftKey ? null : this.partAt(x, y);
      if (part) this.going = this.grasp(part, x, y);
      else if (this.pointing) this.going = { what: "point", x, y, line: [] };
      else if (this.brush) this.going = this.takeUp(this.brush, event);
      else if (this.paints) {
        this.going = { what: "paint", piece: null, ids: new Set() };
        this.paint(this.going, x, y);
      }
      else if (event.pointerType === "touch" && !this.isOverForm(x, y)) this.going = { what: "orbit", tap: [x, y] };
      else if (!useShow.getState().compare)
        this.going = { what: "pick", x, y, add: event.shiftKey, band: false, line: [[x, y]] };
    }
  }

  /** A finger beside the form turns the view: there is no right button on it. */
  private isOverForm(x: number, y: number): boolean {
    const { pickKind } = usePicking.getState();
    return this.scene.freePicker(true).at(pickKind, x, y) !== null;
  }

  private partAt(x: number, y: number): Part | null {
    return this.scene.handle.hover(this.scene.picker(true).ray(x, y));
  }

  private grasp(part: Part, x: number, y: number): Going {
    if (this.springBack && useSession.getState().toolId !== this.springBack) this.springDragged = true;
    return { what: "handle", drag: new HandleDrag(this.scene, part, x, y) };
  }

  private move(event: PointerEvent): void {
    const [x, y] = this.at(event);
    const [dx, dy] = [x - this.lastX, y - this.lastY];
    const { going, scene } = this;
    if (going?.what === "pinch") {
      scene.pace.moving();
      this.touches.pinch(event.pointerId, x, y, scene.eye, this.host);
      return scene.draw();
    }
    if (!going) {
      this.showUnder(x, y);
      return;
    }
    setMapUnder(null);
    if (going.what === "orbit" || going.what === "pan") scene.pace.moving();
    if (going.what === "orbit") scene.eye.orbit(dx * 0.008, dy * 0.008);
    else if (going.what === "pan") scene.eye.pan(dx, dy);
    else if (going.what === "light") dragLight(dx, dy);
    else if (going.what === "point") this.along(going, x, y);
    else if (going.what === "brush") going.hand.move(event);
    else if (going.what === "paint") this.paint(going, x, y);
    else if (going.what === "handle") going.drag.follow(x, y);
    else {
      going.band ||= Math.hypot(x - going.x, y - going.y) > slack;
      if (going.band && useShow.getState().lasso) {
        going.line.push([x, y]);
        this.lasso.setAttribute("points", going.line.map((p) => p.join(",")).join(" "));
        this.lasso.style.display = "block";
      } else if (going.band) drawBand(this.band.style, going.x, going.y, x, y);
    }
    [this.lastX, this.lastY] = [x, y];
    scene.draw();
  }

  private get brush(): Brush | null {
    const tool = toolInHand();
    return tool?.is === "brush" ? tool : null;
  }

  private takeUp(brush: Brush, event: PointerEvent): Going {
    const hand = new BrushHand(this.scene, brush, event, (at) => this.at(at));
    return hand.isBeside && event.pointerType === "touch" ? { what: "orbit" } : { what: "brush", hand };
  }

  /** A tool that takes lines is drawn with; for others the pointer only looks for its place. */
  private along(going: Extract<Going, { what: "point" }>, x: number, y: number): void {
    const { pointing } = this;
    this.showUnder(x, y);
    if (!pointing?.stroke || (!going.line.length && Math.hypot(x - going.x, y - going.y) <= slack)) return;
    const begin = going.line.length ? null : this.spot(pointing, going.x, going.y);
    const spot = this.spot(pointing, x, y, going.line[0] ?? begin ?? undefined);
    if (begin) going.line.push(begin);
    if (spot) going.line.push(spot);
    setDrawn(going.line);
  }

  /** Show what a click here would take. */
  private showUnder(x: number, y: number): void {
    const { scene } = this;
    const { through, pickKind } = usePicking.getState();
    const part = this.partAt(x, y);
    const { pointing } = this;
    this.host.style.cursor = part ? "grab" : pointing ? "crosshair" : "default";
    setMapUnder(part ? null : mapUnder(scene, x, y));
    if (pointing) setSpot(part ? null : this.spot(pointing, x, y));
    const { brush } = this;
    showRing(scene, part ? null : brush, x, y);
    if (brush) this.host.style.cursor = "crosshair";
    setHover(part || pointing || brush ? null : scene.freePicker(through).at(this.paints?.kind ?? pickKind, x, y));
    scene.draw();
  }

  private up(event: PointerEvent): void {
    const { going } = this;
    const [x, y] = this.at(event);
    this.touches.lift(event.pointerId);
    if (going?.what === "pinch" && this.touches.count) return;
    this.going = null;
    this.band.style.display = this.lasso.style.display = "none";
    if (!going) return;
    // Only touched, it picks nothing, as a click would.
    if (going.what === "orbit" && going.tap && Math.hypot(x - going.tap[0], y - going.tap[1]) <= slack) void cleared().then(() => pickAt(this.scene, x, y, false));
    else if (going.what === "handle") void this.keep(going.drag);
    else if (going.what === "brush") going.hand.up();
    else if (going.what === "point") {
      if (going.line.length > 1) this.pointing?.stroke?.(going.line, this.scene.eye.back.toArray(), contextNow(), hands);
      else if (Math.hypot(x - going.x, y - going.y) <= slack) this.setPoint(x, y);
      setDrawn([]);
    } else if (going.what === "paint") {
      const { paints } = this;
      if (going.piece !== null && paints && !goToWrong()) void give(paints.done(useSession.getState().values, going.piece, [...going.ids]));
    } else if (going.what === "pick") {
      // A preview may have other elements than the design: what is picked is picked of the design.
      void cleared().then(() => {
        if (going.band) pickBand(this.scene, going, x, y);
        else pickAt(this.scene, x, y, going.add);
      });
    }
    this.scene.draw();
  }

  /** A tool that was taken up for this drag goes with it. */
  private async keep(drag: HandleDrag): Promise<void> {
    await drag.keep();
    if (this.springBack && !this.isSpringHeld) turns.take(() => this.goBack());
  }

  private goBack(): void {
    if (this.springBack && this.springDragged) takeTool(this.springBack);
    this.springBack = this.sprung = null;
  }

  private setPoint(x: number, y: number): void {
    const { pointing } = this;
    const spot = pointing && this.spot(pointing, x, y);
    if (spot) pointing.click(spot, this.scene.eye.back.toArray(), contextNow(), hands);
  }

  /** What the tool in hand would take here. */
  private spot(pointing: Pointing, x: number, y: number, begun?: Spot): Spot | null {
    const { scene } = this;
    const picker = scene.picker(true);
    const query = pointing.query(contextNow(), begun);
    if (query.bodyEdges) return spotOnBody(picker, usePicking.getState().piece, x, y);
    return spotAt(picker, scene.references, useDesign.getState().design, x, y, query);
  }

  private cancel(): void {
    const { going } = this;
    this.going = null;
    this.band.style.display = this.lasso.style.display = "none";
    if (going?.what === "point") setDrawn([]);
    if (going?.what === "brush") going.hand.cancel();
    if (going?.what === "paint") pick(null, []);
    else if (going?.what === "handle") {
      going.drag.drop();
      if (!this.isSpringHeld) this.goBack();
    }
  }

  /** In a drag only those keys count that belong to it: no letter takes up a tool under the hand. */
  private type(event: KeyboardEvent): void {
    const { going } = this;
    if (!going) return this.hold(event);
    if (event.key === "Escape") this.cancel();
    else if (going.what === "handle" && !event.ctrlKey && !event.metaKey) this.typeInDrag(event, going.drag);
    event.preventDefault();
    event.stopPropagation();
  }

  /** While the handle is held: digits make the drag exact, Enter or letting go keeps it. */
  private typeInDrag(event: KeyboardEvent, drag: HandleDrag): void {
    if (this.springs(event, drag)) return;
    if (event.key === "Enter") {
      this.going = null;
      void this.keep(drag);
    } else if (event.key === "PageUp" || event.key === "PageDown") this.widen(event.key === "PageUp" ? 1.15 : 1 / 1.15);
    else drag.type(event.key);
  }

  /** The key that takes up another tool for one drag does so once the drag has begun, too. */
  private springs(event: KeyboardEvent, drag: HandleDrag): boolean {
    const key = keyOf(event);
    if (this.sprung && key === tools().get(this.sprung)?.key) return true;
    const tool = toolInHand();
    if (tool?.is !== "verb" || !tool.springsTo || key !== tools().get(tool.springsTo)?.key) return false;
    // After a digit it may be a letter of a unit.
    if (drag.isTyped || !drag.becomes(tool.springsTo)) return false;
    [this.springBack, this.sprung, this.springDragged, this.isSpringHeld] = [tool.id, tool.springsTo, true, true];
    return true;
  }

  /** Points being set take Enter, Backspace and Escape; a key held with some tools takes up another for one drag. */
  private hold(event: KeyboardEvent): void {
    const inField = event.target instanceof HTMLInputElement || event.target instanceof HTMLTextAreaElement;
    const { pointing } = this;
    if (pointing?.key && !inField && pointing.key(event.key, contextNow(), hands)) {
      event.preventDefault();
      event.stopPropagation();
      this.scene.draw();
    } else if (!inField && this.sprung && keyOf(event) === tools().get(this.sprung)?.key) {
      // Held on: what it took up stays up.
      if (event.repeat) event.stopPropagation();
      else this.springDragged = false;
    } else if (!inField) {
      const tool = toolInHand();
      const springs = tool?.is === "verb" && tool.springsTo && keyOf(event) === tools().get(tool.springsTo)?.key;
      if (!springs || event.repeat) return;
      [this.springBack, this.sprung] = [tool.id, tool.springsTo ?? null];
      this.springDragged = false;
      this.isSpringHeld = true;
    }
  }

  private letGo(event: KeyboardEvent): void {
    const key = tools().get(this.sprung)?.key;
    if (!this.springBack || event.key.toUpperCase() !== key) return;
    this.isSpringHeld = false;
    // A drag that is under way is ended as what it has become.
    if (this.going?.what !== "handle") turns.take(() => this.goBack());
  }
}

function setSpot(spot: Spot | null): void {
  useSpot.setState({ spot });
  // No edge of a body lies under the pointer either.
  if (!spot && useBodies.getState().under) useBodies.setState({ under: null });
}
