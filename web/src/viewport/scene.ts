/** The viewport's scene: draws when something changed, and tells what lies where. */
import { Box3, type CanvasTexture, Color, GridHelper, Scene as Three, Vector3, WebGLRenderer } from "three";
import { pieces } from "../live/bench";
import type { Display, Hover } from "../live/bench";
import type { Change } from "../live/pieces";
import type { Kind } from "../live/types";
import { colours } from "../theme/colours";
import { Eye } from "./camera";
import { Handle } from "./handle";
import { clay } from "./matcap";
import { boxOf } from "./measure";
import { Picker } from "./picking";
import { type Marks, PieceView } from "./pieceView";

export interface Look {
  display: Display;
  visible: Set<string>;
  piece: string | null;
  kind: Kind;
  picked: number[];
  hover: Hover;
  faults: { piece: string; vertices: number[]; edges: number[]; faces: number[] } | null;
}

export class Scene {
  readonly eye = new Eye();
  readonly handle = new Handle();
  private readonly renderer: WebGLRenderer;
  private readonly three = new Three();
  private readonly views = new Map<string, PieceView>();
  private readonly matcap: CanvasTexture = clay([214, 178, 148], [84, 64, 54]);
  private readonly pale: CanvasTexture = clay([226, 219, 205], [116, 112, 106]);
  private readonly grid: GridHelper;
  private look: Look = {
    display: "both", visible: new Set(), piece: null, kind: "face", picked: [], hover: null, faults: null,
  };
  private waiting = 0;
  private frames = 0;
  private fitted = false;
  /** Called before each frame, to put the handle where it belongs. */
  beforeDraw: () => void = () => undefined;
  private readonly stopListening: () => void;

  constructor(private readonly host: HTMLElement) {
    this.renderer = new WebGLRenderer({ antialias: !navigator.webdriver, powerPreference: "high-performance" });
    this.renderer.setPixelRatio(Math.min(devicePixelRatio, 2));
    this.renderer.setClearColor(new Color(colours.paper));
    host.appendChild(this.renderer.domElement);
    this.grid = new GridHelper(200, 20, "#CFC9BB", "#E2DDD1");
    this.grid.rotation.x = Math.PI / 2;
    this.three.add(this.grid, this.handle.group);
    this.handle.hide();
    this.stopListening = pieces.listen((changes) => this.take(changes));
    this.take([...pieces.byId.keys()].map((id) => ({ id, what: "whole" })));
    this.resize();
  }

  resize(): void {
    const { clientWidth: width, clientHeight: height } = this.host;
    this.renderer.setSize(width, height);
    this.eye.resize(width, height);
    this.draw();
  }

  setLook(look: Look): void {
    this.look = look;
    for (const view of this.views.values()) this.dress(view);
    this.draw();
  }

  picker(through: boolean): Picker {
    const screen = { camera: this.eye.camera, width: this.host.clientWidth, height: this.host.clientHeight };
    return new Picker(screen, this.shownViews(), through);
  }

  view(id: string | null): PieceView | null {
    return (id && this.views.get(id)) || null;
  }

  shownViews(): PieceView[] {
    return [...this.views.values()].filter((view) => this.isShown(view.id));
  }

  /** Let the eye take in all that is shown, or what is picked. */
  fit(): void {
    const box = new Box3();
    for (const view of this.shownViews()) {
      const { positions } = view.arrays.surface;
      for (let i = 0; i < positions.length; i += 3)
        box.expandByPoint(new Vector3(positions[i], positions[i + 1], positions[i + 2]));
      if (this.look.display !== "surface") {
        const { cage } = view.arrays;
        box.union(boxOf(cage, Array(cage.positions.length / 3).keys()));
      }
    }
    this.eye.fit(box);
    this.layFloor();
    this.draw();
  }

  /** The grid lies under what is shown, so that it never cuts through a form. */
  private layFloor(): void {
    let [lowest, highest] = [Infinity, -Infinity];
    for (const view of this.shownViews()) {
      const { positions } = view.arrays.cage;
      for (let i = 2; i < positions.length; i += 3) {
        lowest = Math.min(lowest, positions[i]);
        highest = Math.max(highest, positions[i]);
      }
    }
    this.grid.position.z = Number.isFinite(lowest) ? lowest - 0.03 * Math.max(highest - lowest, 10) : 0;
  }

  draw(): void {
    if (this.waiting) return;
    this.waiting = requestAnimationFrame(() => {
      this.waiting = 0;
      this.drawNow();
    });
  }

  dispose(): void {
    cancelAnimationFrame(this.waiting);
    this.stopListening();
    for (const view of this.views.values()) view.dispose();
    this.renderer.dispose();
    this.renderer.domElement.remove();
  }

  private drawNow(): void {
    this.eye.place();
    this.beforeDraw();
    const { camera } = this.eye;
    this.renderer.render(this.three, camera);
    this.frames += 1;
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
        continue;
      }
      if (held) {
        this.three.remove(held.group);
        held.dispose();
        this.views.delete(id);
      }
      const arrays = pieces.byId.get(id);
      if (what === "whole" && arrays) {
        const view = new PieceView(id, arrays, this.matcap, this.pale);
        this.views.set(id, view);
        this.three.add(view.group);
        this.dress(view);
      }
    }
    if (!this.fitted && this.views.size) {
      this.fitted = true;
      this.fit();
    }
    if (!this.views.size) this.fitted = false;
    this.layFloor();
    this.draw();
  }

  private isShown(id: string): boolean {
    // A piece that is only previewed is in no list yet: show it.
    return this.look.visible.has(id) || !this.look.visible.has(`known ${id}`);
  }

  private dress(view: PieceView): void {
    const { look } = this;
    view.group.visible = this.isShown(view.id);
    const own = look.piece === view.id;
    const marks: Marks = {
      kind: look.kind,
      picked: own ? look.picked : [],
      hover: look.hover?.piece === view.id ? look.hover : null,
      faults: look.faults?.piece === view.id ? look.faults : null,
    };
    view.show(look.display, marks);
  }
}
