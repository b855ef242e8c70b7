/** One drag of the handle or of a bead: it follows the pointer, takes numbers typed meanwhile, and is kept or called off. */
import { Vector3 } from "three";
import { contextNow } from "../live/context";
import { hands } from "../live/hands";
import { preview } from "../live/line";
import { readTyped } from "../live/numbers";
import { pieces } from "../live/pieces";
import { useDesign } from "../live/stores/design";
import { usePicking } from "../live/stores/picking";
import { say } from "../live/stores/problem";
import { toolInHand, tools, useSession } from "../live/stores/session";
import { toGrid, useShow } from "../live/stores/show";
import { apply, back, setValues, takeTool } from "../live/tooling";
import { type Fields, roundedTo, settledValues } from "../model/fields";
import { verticesOf } from "../model/measure";
import { type Drag, type Dragged, fieldsOf, type Form, type Grip, type Part, type Verb } from "../model/tool";
import type { Values } from "../model/values";
import type { Vec } from "../model/vec";
import type { Scene } from "./scene";
import { spotAt } from "./snap";

const turnSnap = 5;
const beginsNumber = /^[\d.,\-+(]$/;
const inNumber = /^[\d.,:/\-+*^() a-z°%"']$/i;

export class HandleDrag {
  private last: Drag | null = null;
  private typed = "";
  private reading: Promise<void> | null = null;
  private dropped = false;
  /** What was typed last and is no number. */
  private unread = "";
  private start: Values = useSession.getState().values;
  private readonly along: (x: number, y: number) => Drag;

  constructor(
    private readonly scene: Scene,
    part: Part,
    x: number,
    y: number,
  ) {
    const { piece, pickKind, picked } = usePicking.getState();
    const follow = scene.handle.begin(part, scene.picker(true).ray(x, y), scene.eye.back, scene.eye.pixel);
    const arrays = piece ? pieces.byId.get(piece) : undefined;
    const own = arrays ? new Set(verticesOf(arrays.cage, pickKind, picked)) : new Set<number>();
    const snaps = part.kind === "axis" || part.kind === "plane" || part.kind === "screen";
    this.along = (nx, ny) => {
      const snapped: Vector3 | null = snaps ? snappedTo(scene, nx, ny, own) : null;
      return onGrid(follow(scene.picker(true).ray(nx, ny), nx - x, ny - y, snapped), snapped !== null);
    };
  }

  private get tool(): Verb | Form | null {
    const tool = toolInHand();
    return tool?.is === "verb" || tool?.is === "form" ? tool : null;
  }

  get isTyped(): boolean {
    return this.typed !== "";
  }

  /** The values that a drag of the handle leads to, and the field that numbers typed meanwhile go to. */
  private dragged(last: Drag): Dragged<Fields> | null {
    const { tool } = this;
    return tool?.is === "verb" ? (tool.dragged?.(last, this.start, contextNow()) ?? null) : null;
  }

  /** The pointer is here now. */
  follow(x: number, y: number): void {
    this.last = this.along(x, y);
    if (!this.typed) this.show(this.last);
  }

  private show(last: Drag): void {
    const { start } = this;
    const { pixel } = this.scene.eye;
    if (last.part.kind === "grip") return this.followGrip(last.part, last.amount);
    const dragged = this.dragged(last);
    if (dragged) setValues({ ...start, ...roundedTo(dragged.values, pixel) });
  }

  private followGrip(grip: Grip, amount: number): void {
    const { tool, start } = this;
    const { pixel } = this.scene.eye;
    if (this.gripped(grip, amount, false)) return;
    const field = fieldsOf(tool)[grip.field];
    if (!tool || field?.is !== "number") return;
    const value = Number(start[grip.field]) + amount;
    const least = field.min ?? field.above ?? -Infinity;
    const next = Math.max(least, toGrid(value) ?? roundedTo({ value }, pixel).value);
    this.set({ ...useSession.getState().values, [grip.field]: next }, grip.field);
  }

  /** Tools with a card of their own take the drag of a bead themselves. */
  private gripped(grip: Grip, amount: number, done: boolean): boolean {
    const tool = toolInHand();
    if (tool?.is !== "card") return false;
    const exact = amount && (toGrid(amount) ?? roundedTo({ amount }, this.scene.eye.pixel).amount);
    tool.gripped?.(grip, exact, done, contextNow(), hands);
    return true;
  }

  private set(values: Values, field: string): void {
    setValues(this.tool?.typed?.(values, field) ?? values);
  }

  /** Go on as another tool from where the drag began; false where that tool has no such part to be dragged by. */
  becomes(id: string): boolean {
    const { last } = this;
    const next = tools().get(id);
    const kind = last?.part.kind ?? "axis";
    if (next?.is !== "verb" || !next.parts?.some((part) => part.kind === kind)) return false;
    takeTool(id);
    this.start = useSession.getState().values;
    this.typed = this.unread = "";
    if (last) this.show(last);
    return true;
  }

  /** A key while it is held: digits and what belongs to numbers make it exact. No number begins with a letter. */
  type(key: string): void {
    if (key === "Backspace") this.typed = this.typed.slice(0, -1);
    else if ((this.typed ? inNumber : beginsNumber).test(key)) this.typed += key;
    else return;
    this.unread = "";
    const { last, typed, start } = this;
    if (!last) return;
    // All of it taken back, the pointer counts again.
    if (!typed) return this.show(last);
    const name = last.part.kind === "grip" ? last.part.field : this.dragged(last)?.field;
    const fields = fieldsOf(this.tool);
    const given = name ? fields[name] : undefined;
    if (!name || given?.is !== "number") return;
    this.reading = readTyped(typed, given.unit, useDesign.getState().design?.unit ?? "mm").then((amount) => {
      // A later key has overtaken this one.
      if (this.typed !== typed || this.dropped) return;
      this.unread = amount === null ? typed : "";
      if (amount === null) return;
      const others = last.part.kind === "grip" ? start : settledValues(fields, start);
      this.set({ ...others, [name]: amount }, name);
    });
  }

  /** One gesture, one step: letting go keeps what the drag has come to. A form that is not put down yet stays in hand. */
  async keep(): Promise<void> {
    const { last } = this;
    if (last?.part.kind === "grip") {
      this.gripped(last.part, last.amount, true);
      return;
    }
    // What was typed may still be on its way to a number.
    if (this.reading) await this.reading;
    // What stands on the card is what could be read before: it is shown, but was not meant.
    if (this.unread) return say({ type: "/problems/invalid", title: "No number", status: 422, detail: `“${this.unread}” is no number: nothing was applied. The card shows the last that could be read.` });
    if (last && useSession.getState().touched) apply();
  }

  /** As if it had not begun. */
  drop(): void {
    this.dropped = true;
    const { last } = this;
    if (last?.part.kind !== "grip") return back();
    if (this.gripped(last.part, 0, false)) preview(null);
    else setValues(this.start);
  }
}

/** The place that a dragged part snaps to: what is there, but not what is being dragged. */
function snappedTo(scene: Scene, x: number, y: number, own: Set<number>): Vector3 | null {
  const { snaps } = useShow.getState();
  if (!snaps.vertex && !snaps.edge && !snaps.face && !snaps.reference) return null;
  const { piece } = usePicking.getState();
  const spot = spotAt(scene.picker(true), scene.references, useDesign.getState().design, x, y, {});
  if (!spot || spot.on === "plane" || spot.on === "picture") return null;
  // A reference is snapped to only where it was asked for by more than looking at it.
  if (spot.on === "reference" && !(snaps.face || snaps.vertex || snaps.edge)) return null;
  if (spot.piece === piece && (spot.on === "face" || spot.vertices.some((v) => own.has(v)))) return null;
  return new Vector3(...spot.point);
}

/** With the grid on, drags go by its spacing, and turns by five degrees. */
function onGrid(drag: Drag, snapped: boolean): Drag {
  const { part } = drag;
  if (!useShow.getState().snaps.grid || snapped) return drag;
  if (part.kind === "arc") return { ...drag, amount: Math.round(drag.amount / turnSnap) * turnSnap };
  if (part.kind === "knob" || part.kind === "bead" || part.kind === "grip") return drag;
  const round = (v: number) => toGrid(v) ?? v;
  if (part.kind === "normal" || part.kind === "each") return { ...drag, amount: round(drag.amount) };
  return { ...drag, amount: round(drag.amount), vector: drag.vector.map(round) as Vec };
}
