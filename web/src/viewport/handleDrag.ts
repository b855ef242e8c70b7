/** One drag of the handle or of a bead: it follows the pointer, takes numbers typed meanwhile, and is kept or called off. */
import { Vector3 } from "three";
import { pieces, placing, useBench } from "../live/bench";
import { useLook, type Vec } from "../live/look";
import { toolById } from "../tools/all";
import type { Drag, Part, Values } from "../tools/tool";
import { verticesOf } from "./measure";
import { rounded, stepOf } from "./rounding";
import type { Scene } from "./scene";
import { spotAt } from "./snap";
import { readTyped } from "./typed";

const turnSnap = 5;

export class HandleDrag {
  private last: Drag | null = null;
  private typed = "";
  private reading: Promise<void> | null = null;
  private dropped = false;
  private readonly start: Values = useBench.getState().values;
  private readonly along: (x: number, y: number) => Drag;

  constructor(
    private readonly scene: Scene,
    part: Part,
    x: number,
    y: number,
  ) {
    const { piece, pickKind, picked } = useBench.getState();
    const follow = scene.handle.begin(part, scene.picker(true).ray(x, y), scene.eye.back, scene.eye.pixel);
    const arrays = piece ? pieces.byId.get(piece) : undefined;
    const own = arrays ? new Set(verticesOf(arrays.cage, pickKind, picked)) : new Set<number>();
    const snaps = part.kind === "axis" || part.kind === "plane" || part.kind === "screen";
    this.along = (nx, ny) => {
      const snapped: Vector3 | null = snaps ? snappedTo(scene, nx, ny, own) : null;
      return onGrid(follow(scene.picker(true).ray(nx, ny), nx - x, ny - y, snapped), snapped !== null);
    };
  }

  private get tool() {
    return toolById(useBench.getState().toolId);
  }

  /** The pointer is here now. */
  follow(x: number, y: number): void {
    this.last = this.along(x, y);
    if (this.typed) return;
    const { last, tool, start } = this;
    const bench = useBench.getState();
    const { pixel } = this.scene.eye;
    if (last.part.kind !== "grip") {
      const dragged = tool?.dragged?.(last, placing(), start);
      if (dragged) bench.setValues({ ...start, ...rounded(dragged.values, pixel) });
      return;
    }
    if (tool?.gripped) return tool.gripped(last.part, stepOf(last.amount, pixel), false);
    const { field } = last.part;
    const least = tool?.fields.find((f) => f.name === field)?.min ?? -Infinity;
    const { snaps, grid } = useLook.getState();
    const value = start[field] + last.amount;
    const [round] = Object.values(rounded({ value }, pixel));
    const values = { ...bench.values, [field]: Math.max(least, snaps.grid ? Math.round(value / grid) * grid : round) };
    bench.setValues(tool?.typed?.(values, field) ?? values);
  }

  /** A key while it is held: digits and what belongs to numbers make it exact. */
  type(key: string): void {
    if (key !== "Backspace" && !/^[\d.,:/\-+*() a-z°%"']$/i.test(key)) return;
    this.typed = key === "Backspace" ? this.typed.slice(0, -1) : this.typed + key;
    const { last, typed, tool } = this;
    if (!tool || !last || !typed) return;
    const field = last.part.kind === "grip" ? last.part.field : tool.dragged?.(last, placing(), this.start).field;
    const given = tool.fields.find((f) => f.name === field);
    if (!field || !given) return;
    this.reading = readTyped(typed, given.unit, useBench.getState().design?.unit ?? "mm").then((amount) => {
      // A later key has overtaken this one.
      if (amount === null || this.typed !== typed || this.dropped) return;
      const { start } = this;
      const others = last.part.kind === "grip" ? start : Object.fromEntries(tool.fields.map((f) => [f.name, f.keep ? start[f.name] : f.initial]));
      if (tool.id === "extrude" && field !== "distance") others.distance = 0;
      const values = { ...others, [field]: amount };
      useBench.getState().setValues(tool.typed?.(values, field) ?? values);
    });
  }

  /** One gesture, one step: letting go keeps what the drag has come to. A form that is not put down yet stays in hand. */
  async keep(): Promise<void> {
    const { last, tool } = this;
    if (last?.part.kind === "grip") return tool?.gripped?.(last.part, stepOf(last.amount, this.scene.eye.pixel), true);
    // What was typed may still be on its way to a number.
    if (this.reading) await this.reading;
    if (last && useBench.getState().touched) useBench.getState().apply();
  }

  /** As if it had not begun. */
  drop(): void {
    this.dropped = true;
    const { last, tool } = this;
    const bench = useBench.getState();
    if (last?.part.kind === "grip" && tool?.gripped) {
      tool.gripped(last.part, 0, false);
      bench.try(null);
    } else if (last?.part.kind === "grip") bench.setValues(this.start);
    else bench.back();
  }
}

/** The place that a dragged part snaps to: what is there, but not what is being dragged. */
function snappedTo(scene: Scene, x: number, y: number, own: Set<number>): Vector3 | null {
  const { snaps } = useLook.getState();
  if (!snaps.vertex && !snaps.edge && !snaps.face && !snaps.reference) return null;
  const { design, piece } = useBench.getState();
  const spot = spotAt(scene.picker(true), scene.references, design, x, y, {});
  if (!spot || spot.on === "plane" || spot.on === "picture") return null;
  // A reference is snapped to only where it was asked for by more than looking at it.
  if (spot.on === "reference" && !(snaps.face || snaps.vertex || snaps.edge)) return null;
  if (spot.piece === piece && (spot.on === "face" || spot.vertices.some((v) => own.has(v)))) return null;
  return new Vector3(...spot.point);
}

/** With the grid on, drags go by its spacing, and turns by five degrees. */
function onGrid(drag: Drag, snapped: boolean): Drag {
  const { snaps, grid } = useLook.getState();
  if (!snaps.grid || snapped) return drag;
  const { part } = drag;
  if (part.kind === "arc") return { ...drag, amount: Math.round(drag.amount / turnSnap) * turnSnap };
  if (part.kind === "knob" || part.kind === "bead" || part.kind === "grip") return drag;
  const round = (v: number) => Math.round(v / grid) * grid;
  if (part.kind === "normal" || part.kind === "each") return { ...drag, amount: round(drag.amount) };
  return { ...drag, amount: round(drag.amount), vector: drag.vector.map(round) as Vec };
}
