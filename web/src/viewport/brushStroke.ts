/** One stroke of a brush: it follows the pointer over the surface, shows what it does, and is kept or called off. */
import { Plane, Vector3 } from "three";
import { contextNow } from "../live/context";
import { callOff, give, isWaited, preview } from "../live/line";
import { usePicking } from "../live/stores/picking";
import { setRing } from "../live/stores/ring";
import { useSession } from "../live/stores/session";
import { goToWrong } from "../live/stores/wrong";
import { fieldsOf, type Brush } from "../model/tool";
import type { Fields, ValuesOf } from "../model/fields";
import type { Values } from "../model/values";
import type { Vec } from "../model/vec";
import type { MeshBVH } from "three-mesh-bvh";
import type { PieceView } from "./pieceView";
import type { Scene } from "./scene";

/** Pixels between two places of a stroke: what lies nearer says nothing new. */
const apart = 2;
const rim = 56;

/** Pixels in a millisecond at which a mouse that is to be faint where it is quick is at its faintest. */
const quick = 3;
const faintest = 0.15;

/** What a stroke begins on. */
interface Ground {
  view: PieceView;
  rays: MeshBVH;
}

/** The piece in hand, or with `any` whatever piece with faces lies first under the pointer. */
function groundAt(scene: Scene, x: number, y: number, any: boolean): Ground | null {
  const { piece } = usePicking.getState();
  const hit = any ? scene.freePicker(true).facePoint(x, y) : null;
  const view = scene.view(hit?.piece ?? piece);
  return view?.hasFaces ? { view, rays: view.surfaceRays } : null;
}

/** Points of a surface that lie nearest to those of a circle about a point of it. */
function ringOn(rays: MeshBVH, point: Vector3, normal: Vector3, radius: number, count: number): Vector3[] {
  const one = Math.abs(normal.x) > 0.8 ? new Vector3(0, 1, 0) : new Vector3(1, 0, 0);
  const across = one.cross(normal).normalize();
  const up = normal.clone().cross(across);
  return Array.from({ length: count }, (_, k) => {
    const turn = (2 * Math.PI * k) / count;
    const at = point.clone().addScaledVector(across, radius * Math.cos(turn)).addScaledVector(up, radius * Math.sin(turn));
    return rays.closestPointToPoint(at)?.point.clone() ?? at;
  });
}

function normalOfRing(ring: Vector3[], middle: Vector3): Vector3 | null {
  const total = new Vector3();
  ring.forEach((at, k) => total.add(at.clone().sub(middle).cross(ring[(k + 1) % ring.length].clone().sub(middle))));
  return total.lengthSq() > 0 ? total.normalize() : null;
}

/** Lay a ring of the brush's width on the form under the pointer; without a brush none. During a stroke its own ground counts. */
export function showRing(scene: Scene, brush: Brush | null, x: number, y: number, stroke?: BrushStroke): void {
  const ground = stroke?.ground ?? (brush && groundAt(scene, x, y, false));
  const place = ground && scene.picker(true).onTree(ground.rays, ground.view.id, x, y);
  if (!brush || !ground || !place) return setRing(null);
  const radius = brush.radius(useSession.getState().values);
  const { point } = place;
  const flat: number[] = [];
  // Over rough ground the normal of one triangle says little: that of a wider ring through the surface is taken.
  const normal = normalOfRing(ringOn(ground.rays, point, place.normal, 0.6 * radius, 12), point) ?? place.normal;
  for (const at of ringOn(ground.rays, point, normal, radius, rim)) flat.push(...at.toArray());
  setRing(flat);
}

/** The values once the brush was sized by a drag of so many pixels to the right and up. */
export function sizedBy(brush: Brush, start: Values, right: number, up: number, pixel: number): Values {
  const radius = Math.max(2 * pixel, Number(start.radius) + right * pixel);
  const field = fieldsOf(brush)[brush.strength];
  if (field?.is !== "number") return { radius: rounded(radius) };
  const span = field.unit === "mm" ? 0.2 * pixel : field.unit === "%" ? 0.5 : 1;
  const [least, most] = [field.min ?? -Infinity, field.max ?? Infinity];
  const strength = Math.min(most, Math.max(least, Number(start[brush.strength]) + up * span));
  return { radius: rounded(radius), [brush.strength]: rounded(strength) };
}

/** Of a straight stroke: pixels between its places, and how many of these there are at most. */
const straightStep = 6;
const mostStraight = 240;
const rounded5 = (point: Vector3) => point.toArray().map((value) => Number(value.toFixed(5)));

const rounded = (value: number) => Number(value.toPrecision(3));

export class BrushStroke {
  private readonly way: number[] = [];
  private first: [number, number] = [0, 0];
  private last: [number, number] = [0, 0];
  private lastTime = 0;
  private readonly plane: Plane;

  private constructor(
    private readonly scene: Scene,
    private readonly brush: Brush,
    /** As the stroke found it: with the first one on a level the piece is shown anew, and what is raised lies nearer to the eye. */
    readonly ground: Ground,
    start: Vector3,
    private readonly held: { opposite: boolean; smooth: boolean },
  ) {
    this.plane = new Plane().setFromNormalAndCoplanarPoint(scene.eye.back, start);
    ground.view.frozen = true;
  }

  /** A stroke that begins where the pointer is; null beside all forms. A piece that was not in hand is taken in hand. */
  static begin(scene: Scene, brush: Brush, event: PointerEvent, x: number, y: number): BrushStroke | null {
    if (goToWrong()) return null;
    const picker = scene.freePicker(true);
    const found = [false, true].map((any) => groundAt(scene, x, y, any)).find((one) => one && picker.onTree(one.rays, one.view.id, x, y));
    const place = found && picker.onTree(found.rays, found.view.id, x, y);
    if (!found || !place) return null;
    const { piece } = usePicking.getState();
    if (piece !== found.view.id) usePicking.setState({ piece: found.view.id, pickKind: "piece", picked: [0], others: [] });
    const stroke = new BrushStroke(scene, brush, found, place.point, { opposite: event.shiftKey, smooth: event.ctrlKey || event.metaKey });
    stroke.add(place.point, stroke.pressureOf(event, x, y), x, y);
    stroke.show();
    return stroke;
  }

  /** The pointer is here now: where it met nothing there is no place. */
  follow(event: PointerEvent, x: number, y: number): void {
    if (Math.hypot(x - this.last[0], y - this.last[1]) < apart) return;
    const point = this.brush.drags && !this.held.smooth ? this.acrossView(x, y) : this.onForm(x, y);
    if (point) this.add(point, this.pressureOf(event, x, y), x, y);
  }

  /** That of a pen; a mouse, which has none, presses fully, or where that is wanted by how quick it is. */
  private pressureOf(event: PointerEvent, x: number, y: number): number {
    if (event.pointerType === "pen") return event.pressure;
    const took = event.timeStamp - this.lastTime;
    const speed = this.lastTime ? Math.hypot(x - this.last[0], y - this.last[1]) / Math.max(took, 1) : 0;
    this.lastTime = event.timeStamp;
    return useSession.getState().values.mouse === "speed" ? Math.max(faintest, 1 - speed / quick) : 1;
  }

  private onForm(x: number, y: number): Vector3 | null {
    return this.scene.picker(true).onTree(this.ground.rays, this.ground.view.id, x, y)?.point ?? null;
  }

  private acrossView(x: number, y: number): Vector3 | null {
    return this.scene.picker(true).ray(x, y).intersectPlane(this.plane, new Vector3());
  }

  private add(point: Vector3, pressure: number, x: number, y: number): void {
    if (!this.way.length) this.first = [x, y];
    this.way.push(...rounded5(point), Number(pressure.toFixed(3)));
    this.last = [x, y];
  }

  /** As seen straight from where it began to where the pointer is: a chord through the form would come out at its other side. */
  private straight(): number[] {
    const [x0, y0] = this.first;
    const [dx, dy] = [this.last[0] - x0, this.last[1] - y0];
    const count = Math.max(1, Math.min(mostStraight, Math.ceil(Math.hypot(dx, dy) / straightStep)));
    const way: number[] = [];
    for (let k = 0; k <= count; k++) {
      const point = this.onForm(x0 + (dx * k) / count, y0 + (dy * k) / count);
      if (point) way.push(...rounded5(point), 1);
    }
    return way.length ? way : this.way.slice(0, 4);
  }

  private get command() {
    const values = useSession.getState().values as ValuesOf<Fields>;
    const towards: Vec = this.scene.eye.back.toArray();
    const way = values.led === "straight" && !this.brush.drags ? this.straight() : [...this.way];
    return this.brush.stroke({ piece: this.ground.view.id, way, towards, ...this.held }, values, contextNow());
  }

  /** What it comes to so far; a step that is still being kept comes first. */
  show(): void {
    if (!isWaited()) preview(this.command);
  }

  async keep(): Promise<void> {
    this.ground.view.frozen = false;
    await give(this.command);
  }

  drop(): void {
    this.ground.view.frozen = false;
    callOff();
  }
}
