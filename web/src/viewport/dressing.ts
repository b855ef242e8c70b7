/** How pieces are dressed in the viewport: which are shown, of what they are, what is marked on them, and what replaces them. */
import { useDesign } from "../live/stores/design";
import { useMap } from "../live/stores/map";
import { toolInHand } from "../live/stores/session";
import { useShow } from "../live/stores/show";
import { growingIn } from "../model/growths";
import type { PieceState } from "../model/types";
import type { BodyMap } from "./bodyMap";
import type { BodyViews } from "./bodyViews";
import type { Eye } from "./camera";
import type { CopyDress } from "./copyView";
import type { CopyViews } from "./copyViews";
import { type Marked, markedNow, markOfWhole, marksOn, untint } from "./marked";
import type { Marks } from "./marksView";
import type { Dress, PieceView } from "./pieceView";
import { placeBeside } from "./sideBySide";

export class Dressing {
  private states = new Map<string, PieceState>();
  private growing: ReadonlySet<string> = new Set();
  marked: Marked = markedNow();

  constructor(
    private readonly views: ReadonlyMap<string, PieceView>,
    private readonly copies: CopyViews,
    private readonly bodies: BodyViews,
    private readonly bodyMap: BodyMap,
    private readonly eye: Eye,
  ) {}

  /** What the design says of its pieces now, or what would become of them. */
  take(): void {
    const { design, preview } = useDesign.getState();
    this.states = new Map((preview ?? design)?.pieces.map((piece) => [piece.id, piece]) ?? []);
    this.growing = growingIn(design, preview);
  }

  all(): void {
    this.layBodyMap();
    for (const view of this.views.values()) this.dress(view);
    this.dressCopies();
    this.dressBodies();
  }

  dressCopies(): void {
    this.copies.dress((id) => this.dressOfCopy(id));
  }

  isLocked(id: string): boolean {
    return this.states.get(id)?.locked ?? false;
  }

  private dressOfCopy(id: string): CopyDress {
    const { material, compare } = useShow.getState();
    const shown = this.isShown(id) && !this.showsBody(id) && !compare;
    const [colour, finish] = this.lookOf(id);
    return { shown, material, colour, finish, glass: this.isGlass(id), marked: markOfWhole(id, this.marked) };
  }

  /** The clay of a piece, and what it is of. */
  private lookOf(id: string): [colour: string, finish: string] {
    const state = this.states.get(id);
    return [state?.colour ?? "clay", state?.finish ?? "clay"];
  }

  /** Drawn faintly, as asked for. */
  private isGlass(id: string): boolean {
    return useShow.getState().glass.includes(id);
  }

  private isReplaced(id: string): boolean {
    return this.showsBody(id) || this.bodyMap.isOf(id);
  }

  showsBody(id: string): boolean {
    const { bodies, compare } = useShow.getState();
    return bodies && !compare && this.bodies.has(id) && this.isShown(id);
  }

  private dressBodies(): void {
    const { shows } = this.marked;
    this.bodies.dress(
      (id) => this.showsBody(id) && shows !== "cage" && !this.bodyMap.isOf(id),
      (id) => this.lookOf(id),
      useShow.getState().material,
      (id) => this.isGlass(id),
    );
  }

  isShown(id: string): boolean {
    const { compare, isolated } = useShow.getState();
    if (compare) return id === compare.a || id === compare.b;
    const { piece, others } = this.marked;
    if (isolated && piece) return id === piece || others.includes(id);
    // A piece that is only previewed is in no list yet: show it.
    return this.states.get(id)?.visible ?? true;
  }

  private isQuiet(id: string): boolean {
    const { piece, others, kind } = this.marked;
    const held = id === piece || (kind === "piece" && others.includes(id));
    return !held && (this.states.get(id)?.grown ?? null) !== null;
  }

  dress(view: PieceView): void {
    const { marked } = this;
    const { material, isolines, wire, normals, valences, backs, compare } = useShow.getState();
    view.group.visible = this.isShown(view.id);
    const dress: Dress = {
      display: compare ? "surface" : marked.shows,
      material: compare?.over ? "clay" : material,
      colour: this.lookOf(view.id)[0],
      finish: this.lookOf(view.id)[1],
      // Of what is about to grow its layout is seen before it is kept.
      isolines: this.growing.has(view.id) ? Math.max(isolines, 1) : isolines,
      wire, normals, valences, backs,
      badges: marked.badges && !compare,
      // Laid over one another both are seen through, each in its own clay: the smaller one shows within the larger.
      faint: compare?.over ?? (this.isGlass(view.id) && !this.isReplaced(view.id)),
      replaced: this.isReplaced(view.id),
      quiet: this.isQuiet(view.id),
      polygon: marked.piece === view.id || marked.kind === "vertex" || marked.kind === "edge",
    };
    view.group.position.copy(placeBeside(view.id, (id) => this.views.get(id) ?? null, this.eye.right));
    const marks = marksOn(view.id, marked, compare !== null);
    // Neither is what a brush does seen under a tint.
    if (useMap.getState().map?.piece === view.id || toolInHand()?.is === "brush") untint(marks);
    if (!compare) this.markSuspects(view.id, marks);
    view.show(dress, marks);
    this.lay(view);
  }

  /** Where it has not grown as it should, that is marked until it has. */
  private markSuspects(id: string, marks: Marks): void {
    const suspect = this.states.get(id)?.suspect ?? [];
    if (!marks.faults && suspect.length) marks.faults = { vertices: [], edges: [], faces: suspect };
  }

  private layBodyMap(): void {
    const { map, lines } = useMap.getState();
    const shown = map?.body && this.isShown(map.piece) && !useShow.getState().compare;
    this.bodyMap.show(shown ? map : null, useDesign.getState().design?.unit ?? "mm", lines);
  }

  /** What lies over a surface: how far a reach carries, and the map of a proof. */
  private lay(view: PieceView): void {
    const { compare } = useShow.getState();
    const { weights } = this.marked;
    const { map, lines } = useMap.getState();
    view.paint(map?.piece === view.id && !map.body && !compare ? map : null, useDesign.getState().design?.unit ?? "mm", lines);
    view.weigh(weights?.piece === view.id && !compare ? weights.rows : null);
  }
}
