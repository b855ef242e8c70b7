/** The viewport's scene: draws when something changed, and tells what lies where. */
import { Box3, Color, Plane, Scene as Three, Vector3, WebGLRenderer } from "three";
import { pieces } from "../live/pieces";
import { useDesign } from "../live/stores/design";
import { toolInHand } from "../live/stores/session";
import { useMap } from "../live/stores/map";
import { type FlatName, useShow } from "../live/stores/show";
import type { Change } from "../live/pieces";
import { allVertices, boxOf } from "../model/measure";
import type { Box } from "../model/vec";
import { colours } from "../theme/colours";
import { BodyMap } from "./bodyMap";
import { BodyViews } from "./bodyViews";
import { Eye } from "./camera";
import { CopyViews } from "./copyViews";
import { coveredBy } from "./covered";
import { DimensionLabels } from "./dimensionLabels";
import { Dressing } from "./dressing";
import { Floor } from "./floor";
import { Hollows } from "./hollows";
import { keepView, keptView } from "./keptView";
import { HiddenPicks } from "./hiddenPicks";
import { Handle } from "./handle";
import { markedNow } from "./marked";
import { ClearLayers } from "./lookThrough";
import { OpaqueDepths } from "./opaqueDepths";
import { Overlay } from "./overlay";
import { Pace } from "./pace";
import { Picker } from "./picking";
import { PieceView } from "./pieceView";
import { ReferenceViews } from "./referenceViews";
import { isDrawnBySoftware } from "./software";

type Part = "design" | "bodies" | "marks";

export class Scene {
  readonly eye = new Eye();
  readonly handle = new Handle();
  readonly references: ReferenceViews;
  private readonly renderer: WebGLRenderer;
  private readonly three = new Three();
  private readonly views = new Map<string, PieceView>();
  private readonly floor = new Floor();
  private readonly overlay = new Overlay(() => this.draw());
  /** What the section cuts away; empty where there is none. The views share the array. */
  private readonly planes: Plane[] = [];
  private readonly bodies = new BodyViews(this.planes);
  readonly bodyMap = new BodyMap(this.planes);
  private readonly copies = new CopyViews(this.planes);
  private readonly dressing = new Dressing(this.views, this.copies, this.bodies, this.bodyMap, this.eye);
  /** What has changed since it was looked at last. */
  private readonly stale = new Set<Part>();
  readonly pace: Pace;
  private frames = 0;
  private fitted = false;
  /** Called before each frame, to put the handle where it belongs. */
  beforeDraw: () => void = () => undefined;
  private readonly labels: DimensionLabels;
  private readonly hidden = new HiddenPicks(this);
  private readonly depths = new OpaqueDepths(this.planes);
  private readonly hollows = new Hollows(this.depths);
  private readonly clear: ClearLayers;
  private readonly stopListening: () => void;

  /** With `side` it is the second view: flat, and fixed to that side. */
  constructor(
    private readonly host: HTMLElement,
    readonly side: FlatName | null,
    smooth: boolean,
  ) {
    this.renderer = new WebGLRenderer({ antialias: smooth, powerPreference: "high-performance" });
    this.renderer.setClearColor(new Color(colours.paper));
    this.renderer.localClippingEnabled = true;
    host.appendChild(this.renderer.domElement);
    const drawing = { draw: () => this.drawNow(), hasten: (on: boolean) => this.hasten(on), wantsTime: () => this.wantsHollows || this.clear.some(this.three) };
    this.pace = new Pace(host, drawing, isDrawnBySoftware(this.renderer.getContext()));
    this.labels = new DimensionLabels(host, side === null);
    this.references = new ReferenceViews(this.planes, () => {
      if (!this.fitted) this.fit();
      this.changed("marks");
    });
    if (side) {
      this.eye.flat = true;
      this.eye.take(side);
    } else useShow.setState({ flat: false });
    this.clear = new ClearLayers(this.renderer, this.depths, this.planes);
    this.floor.addTo(this.three);
    this.three.add(this.bodies.group, this.bodyMap.group, this.copies.group, this.references.group, this.overlay.group, this.handle.group, this.handle.beads, this.hollows.mesh);
    this.handle.hide();
    this.stopListening = pieces.listen((changes) => this.take(changes));
    this.resize();
    this.take([...pieces.byId.keys(), ...pieces.copies.keys()].map((id) => ({ id, what: "whole" })));
  }

  resize(): void {
    const { clientWidth: width, clientHeight: height } = this.host;
    this.renderer.setPixelRatio(useShow.getState().quick ? 0.5 : Math.min(devicePixelRatio, 2));
    this.renderer.setSize(width, height);
    this.eye.resize(width, height);
    this.draw();
  }

  /** From perspective to flat, or back. */
  toggleFlat(): void {
    this.eye.flat = !this.eye.flat;
    useShow.setState({ flat: this.eye.flat });
    this.draw();
  }

  /** Something of this kind has changed: it is looked at before the next frame is drawn, or something is picked. */
  changed(part: Part): void {
    this.stale.add(part);
    this.draw();
  }

  private refresh(): void {
    if (!this.stale.size) return;
    const [design, bodies] = [this.stale.has("design"), this.stale.has("bodies")];
    this.stale.clear();
    this.dressing.marked = markedNow();
    if (design) this.takeDesign();
    if (bodies) this.bodies.sync();
    if (design || bodies) this.layFloor();
    this.dressAll();
  }

  /** The design's own facts: which pieces there are and how they are coloured, and the references. */
  private takeDesign(): void {
    const { design, preview } = useDesign.getState();
    this.dressing.take();
    this.references.show((preview ?? design)?.references ?? []);
    this.floor.grid.unit = design?.unit === "in" ? 25.4 : 1;
    if (!this.fitted && design?.references.length) this.fit();
  }

  private dressAll(): void {
    const { section, facets } = useShow.getState();
    this.planes.length = 0;
    if (section) {
      const normal = new Vector3().setComponent(section.axis, section.flip ? 1 : -1);
      this.planes.push(new Plane(normal, section.flip ? -section.at : section.at));
    }
    this.dressing.all();
    // Side by side the two stand elsewhere than the references that they were built around.
    const { compare } = useShow.getState();
    this.references.group.visible = !compare || compare.over;
    this.references.dress(useMap.getState().map !== null, facets);
    this.overlay.group.visible = !compare;
  }

  picker(through: boolean): Picker {
    return this.pickerOf(this.shownViews(), through);
  }

  /** For picking by hand: what is locked lets clicks through. */
  freePicker(through: boolean): Picker {
    this.refresh();
    return this.pickerOf(this.shownViews().filter((view) => !this.dressing.isLocked(view.id)), through);
  }

  private pickerOf(views: PieceView[], through: boolean): Picker {
    this.refresh();
    const { camera, target, back } = this.eye;
    const screen = { camera, width: this.host.clientWidth, height: this.host.clientHeight, middle: target, back };
    const copies = this.copies.shown.filter((copy) => !this.dressing.isLocked(copy.id));
    return new Picker(screen, views, through, this.planes, copies);
  }

  view(id: string | null): PieceView | null {
    return (id === null ? null : this.views.get(id)) ?? null;
  }

  shownViews(): PieceView[] {
    return [...this.views.values()].filter((view) => this.dressing.isShown(view.id));
  }

  /** Look as this design was last looked at here; at all of it where that was left to us. */
  private begin(): void {
    const kept = this.side ? null : keptView(useDesign.getState().id);
    if (!kept) return this.fit();
    this.eye.look(kept);
    useShow.setState({ flat: this.eye.flat });
    this.fitted = true;
    this.layFloor();
    this.draw();
  }

  /** Let the eye take in all that is shown. */
  fit(): void {
    const box = new Box3();
    for (const view of this.shownViews()) {
      const positions = view.arrays.line?.points ?? view.arrays.surface.positions;
      const own = new Box3();
      for (let i = 0; i < positions.length; i += 3)
        own.expandByPoint(new Vector3(positions[i], positions[i + 1], positions[i + 2]));
      if (this.dressing.marked.shows !== "surface") {
        const { cage } = view.arrays;
        own.union(asBox3(boxOf(cage, allVertices(cage))));
      }
      box.union(own.translate(view.group.position));
      // Copies and bodies joined to it reach further than the form itself.
      if (this.dressing.showsBody(view.id)) box.union(this.bodies.boxOf(view.id));
    }
    for (const corner of this.copies.corners()) box.expandByPoint(corner);
    if (this.references.group.visible) for (const corner of this.references.corners()) box.expandByPoint(corner);
    this.eye.fit(box, coveredBy(150, this.side !== null));
    this.fitted = !box.isEmpty();
    this.layFloor();
    this.draw();
  }

  /** Let the eye come near to some points, seen from where it is. */
  see(points: [number, number, number][]): void {
    if (!points.length) return;
    const box = new Box3();
    for (const point of points) box.expandByPoint(new Vector3(...point));
    // Not so near that nobody can tell any more what it belongs to.
    const whole = new Box3();
    for (const view of this.shownViews()) whole.union(asBox3(boxOf(view.arrays.cage, allVertices(view.arrays.cage))));
    const around = Math.max(box.getSize(new Vector3()).length() * 0.3, whole.isEmpty() ? 0 : whole.getSize(new Vector3()).length() * 0.12);
    this.eye.fit(box.expandByScalar(around), coveredBy(60, this.side !== null));
    this.draw();
  }

  private layFloor(): void {
    const { bodies, compare } = useShow.getState();
    this.floor.lay(this.shownViews(), this.copies.corners(), bodies ? this.bodies.lowest : Infinity, !compare);
  }

  draw(): void {
    this.pace.draw();
  }

  private hasten(on: boolean): boolean {
    let some = false;
    for (const view of this.views.values()) some = view.hasten(on) || some;
    const fine = useShow.getState().quick ? 0.5 : Math.min(devicePixelRatio, 2);
    const wanted = some ? 0.5 : fine;
    if (this.renderer.getPixelRatio() !== wanted) this.renderer.setPixelRatio(wanted);
    return some;
  }

  dispose(): void {
    this.pace.stop();
    this.stopListening();
    for (const view of this.views.values()) view.dispose();
    const { hidden, hollows, clear, depths, copies, references, bodies, bodyMap, overlay, floor, labels, renderer } = this;
    for (const part of [hidden, hollows, clear, depths, copies, references, bodies, bodyMap, overlay, floor, labels, renderer]) part.dispose();
    renderer.domElement.remove();
  }

  private get wantsHollows(): boolean {
    const { hollows, quick } = useShow.getState();
    return hollows && !quick;
  }

  private drawNow(): void {
    this.refresh();
    this.eye.place();
    this.beforeDraw();
    this.overlay.draw();
    this.labels.draw(this.eye, this.overlay.group.visible);
    for (const view of this.views.values()) view.face(this.eye.back);
    this.floor.draw(this.eye);
    const { camera } = this.eye;
    const { takesTime } = this.pace;
    this.depths.look(this.renderer, this.three, camera);
    if (this.wantsHollows) this.hollows.lay(this.renderer, this.three, camera, takesTime);
    else this.hollows.mesh.visible = false;
    this.clear.begin(this.three, camera, this.eye.back.z > 0.02 ? this.floor.height : null, takesTime);
    this.renderer.render(this.three, camera);
    this.frames += 1;
    if (!this.side) {
      this.hidden.later();
      keepView(useDesign.getState().id, this.eye);
    }
    if (!this.side && useShow.getState().grid !== this.floor.grid.spacing) useShow.setState({ grid: this.floor.grid.spacing });
    // What the screen shows, for those who read it without eyes: the matrix that took points to the screen.
    const matrix = camera.projectionMatrix.clone().multiply(camera.matrixWorldInverse);
    this.host.dataset.viewProjection = matrix.elements.join(" ");
    this.host.dataset.frames = String(this.frames);
  }

  private take(changes: Change[]): void {
    for (const { id, what } of changes) {
      const held = this.views.get(id);
      if (what === "moved") {
        held?.moved();
        this.pace.moving();
        continue;
      }
      if (held) {
        this.three.remove(held.group);
        held.dispose();
        this.views.delete(id);
      }
      this.copies.drop(id);
      const arrays = pieces.byId.get(id);
      if (what === "whole" && arrays) {
        const view = new PieceView(id, arrays, this.planes);
        this.views.set(id, view);
        this.three.add(view.group);
        this.dressing.dress(view);
      }
    }
    this.copies.lay((id) => this.view(id));
    this.dressing.dressCopies();
    // While points are being set the view must not jump away from under the pointer.
    const setting = toolInHand()?.pointing !== undefined;
    if (setting && this.views.size) this.fitted = true;
    if (!this.fitted && this.views.size) this.begin();
    if (!this.views.size) this.fitted = false;
    this.layFloor();
    this.draw();
  }
}

const asBox3 = (box: Box | null): Box3 => (box ? new Box3(new Vector3(...box.low), new Vector3(...box.high)) : new Box3());
