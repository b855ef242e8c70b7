/** One piece on the screen: its surface, its cage, and what is picked, hovered or at fault on it. */
import {
  BufferAttribute,
  BufferGeometry,
  Group,
  LineBasicMaterial,
  LineSegments,
  Mesh,
  type Plane,
  Points,
  PointsMaterial,
  Vector3,
} from "three";
import { MeshBVH } from "three-mesh-bvh";
import type { Shows, Material } from "../live/stores/show";
import type { PieceArrays } from "../live/pieces";
import type { ShownMap } from "../model/types";
import { plus } from "../model/vec";
import type { Unit } from "../model/units";
import { colours } from "../theme/colours";
import { CurveLine } from "./curveLine";
import { CreaseBadges } from "./creaseBadges";
import { coarser, isolines, wireframe } from "./denseLines";
import { Glow } from "./glow";
import { MapView } from "./mapView";
import { Lines } from "./lines";
import { type Marks, MarksView } from "./marksView";
import { asGlass, dressIn, paleTexture, type SurfaceMaterial, surfaceMaterial } from "./materials";
import { faceNormal } from "../model/measure";
import { fans, quadTriangles } from "./triangles";
import { ValenceMarks } from "./valenceMarks";

export interface Dress {
  display: Shows;
  material: Material;
  colour: string;
  finish: string;
  isolines: number;
  wire: number;
  normals: boolean;
  valences: boolean;
  /** How sharp creases and corners are, as numbers. */
  badges: boolean;
  backs: boolean;
  /** Shown as a shadow of itself, to be looked through. */
  faint: boolean;
  /** What followers make of it is drawn instead of its own surface. */
  replaced: boolean;
  /** Grown from others and not in hand: its surface alone is shown, so that what it grew from can be taken. */
  quiet: boolean;
  /** Of a curve: its control polygon. */
  polygon: boolean;
}

/** Crease lines grow with sharpness: one set of lines for each width. */
const creaseWidths = [
  { upTo: 1, width: 2 },
  { upTo: 3, width: 3 },
  { upTo: 9.99, width: 4 },
  { upTo: 10, width: 5 },
];

/** So many quads are drawn at once on any machine. */
const hastyQuads = 12_000;

export class PieceView {
  readonly group = new Group();
  /** Its images are drawn with it, too. */
  readonly surface: BufferGeometry;
  private readonly cage: BufferGeometry;
  private readonly surfaceMesh: Mesh<BufferGeometry, SurfaceMaterial>;
  private readonly cageMesh: Mesh<BufferGeometry, SurfaceMaterial>;
  private readonly plain = new Lines(colours.ink, 1.3, { opacity: 0.75 });
  /** All of the cage faintly, so that it reads as a whole where it runs behind or inside the surface. */
  private readonly behind = new Lines(colours.ink, 1, { onTop: true, opacity: 0.17 });
  private readonly open = new Lines(colours.open, 3);
  private readonly creases = creaseWidths.map(({ width }) => new Lines(colours.crease, width));
  private readonly seam = new Lines(colours.seam, 2.4, { dashed: true, dash: 0.5 });
  private readonly spikes = new Lines(colours.river, 1.6);
  private readonly iso: LineSegments;
  private readonly wire: LineSegments;
  private readonly valences = new ValenceMarks();
  private readonly badges = new CreaseBadges();
  private readonly dots = new Points(
    new BufferGeometry(),
    new PointsMaterial({ size: 6, sizeAttenuation: false, color: colours.ink }),
  );
  private readonly line: CurveLine | null;
  private readonly glow: Glow;
  /** What a mask protects lies in shade. Made when there is a mask first: few pieces have one. */
  private shade: Glow | null = null;
  private shaded: Uint8Array | undefined;
  /** While a brush goes over it places are those of the surface as the stroke found it. */
  frozen = false;
  private readonly mapped: MapView;
  private readonly marking: MarksView;
  private readonly triangleFace: Int32Array;
  private readonly tint = { value: 1 };
  private surfaceTree: MeshBVH | null = null;
  private cageTree: MeshBVH | null = null;
  /** The surface as rays meet it: points of its own, so that a stroke goes over the surface as it found it. */
  private rayPoints: BufferAttribute | null = null;
  /** Trees whose boxes are from before the last move. */
  private readonly outdated = new Set<"surface" | "cage">();
  private marks: Marks = { kind: "face", picked: [], hover: null, faults: null, held: null };
  private dress: Dress = {
    display: "both", material: "clay", colour: "clay", finish: "clay", isolines: 0, wire: 0, normals: false, valences: false, badges: false, backs: true, faint: false, replaced: false, quiet: false, polygon: true,
  };
  /** The surface by fewer triangles over the same points; made when first wanted. */
  private hasty: BufferGeometry | null = null;
  private drawnLines = "";
  /** Goes up whenever the points have moved. */
  version = 0;

  constructor(
    readonly id: string,
    readonly arrays: PieceArrays,
    private readonly planes: Plane[],
  ) {
    const { surface, cage } = arrays;
    this.surface = new BufferGeometry();
    this.surface.setAttribute("position", new BufferAttribute(surface.positions, 3));
    this.surface.setAttribute("normal", new BufferAttribute(surface.normals, 3));
    this.surface.setIndex(new BufferAttribute(quadTriangles(surface.quads, () => true), 1));
    this.surfaceMesh = new Mesh(this.surface, surfaceMaterial(planes, this.tint));

    this.cage = new BufferGeometry();
    this.cage.setAttribute("position", new BufferAttribute(new Float32Array(cage.positions), 3));
    const { index, face } = fans(cage.face_verts, cage.face_offsets);
    this.triangleFace = face;
    this.cage.setIndex(new BufferAttribute(index, 1));
    const flat = surfaceMaterial(planes, this.tint);
    flat.flatShading = true;
    flat.matcap = paleTexture();
    this.cageMesh = new Mesh(this.cage, flat);
    this.dots.geometry.setAttribute("position", this.cage.getAttribute("position"));
    this.iso = this.surfaceLines("#4A3A2E", 0.8);
    this.wire = this.surfaceLines("#2C5F66", 0.6);
    for (const mesh of [this.surfaceMesh, this.cageMesh, this.dots]) mesh.frustumCulled = false;
    this.dots.renderOrder = 11;
    // The points of a curve lie within what has grown from it, and are pulled there.
    this.dots.material.depthTest = this.hasFaces;

    this.glow = new Glow(this.surface, planes);
    this.mapped = new MapView(this.surface, planes);
    this.line = arrays.line ? new CurveLine(arrays.line) : null;
    const lines = this.allLines();
    this.group.add(this.surfaceMesh, this.cageMesh, this.dots, this.iso, this.wire, this.glow.mesh, this.mapped.mesh, this.mapped.isolines);
    this.group.add(this.valences.group, this.badges.group, ...lines.map((line) => line.object));
    for (const part of [this.iso, this.wire]) (part.material as LineBasicMaterial).clippingPlanes = planes;
    for (const line of lines) line.clip(planes);
    this.dots.material.clippingPlanes = planes;
    this.marking = new MarksView(this.group, arrays, this.surface, this.cage, planes);
    this.redraw();
    this.marking.show(this.marks, this.display);
    this.drawMask();
  }

  /** What is shown of it: of a curve always its control points, there is no surface to be shown alone. */
  get display(): Shows {
    return this.arrays.line && this.dress.display === "surface" ? "both" : this.dress.display;
  }

  *extent(): Iterable<Vector3> {
    const { positions } = this.arrays.cage;
    for (let i = 0; i < positions.length; i += 3) yield new Vector3(positions[i], positions[i + 1], positions[i + 2]);
  }

  /** Whether its control points can be taken: those of a grown form only while it is in hand. */
  get offersPoints(): boolean {
    return !this.dress.quiet;
  }

  get hasFaces(): boolean {
    return this.arrays.line === undefined;
  }

  /** The view turned: what is to be read faces the eye. */
  face(back: Vector3): void {
    this.badges.face(back);
  }

  /** Positions were changed in place. */
  moved(): void {
    this.version += 1;
    this.surface.getAttribute("position").needsUpdate = true;
    this.surface.getAttribute("normal").needsUpdate = true;
    const attribute = this.cage.getAttribute("position") as BufferAttribute;
    attribute.array.set(this.arrays.cage.positions);
    attribute.needsUpdate = true;
    this.outdated.add("surface").add("cage");
    const { cage } = this.arrays;
    for (const line of [this.plain, this.behind, this.open, this.seam, ...this.creases]) line.moved(cage.positions);
    if (this.arrays.line) this.line?.moved(this.arrays.line);
    this.marking.moved();
    this.drawSigns();
    this.drawMask();
  }

  /** While it moves a large surface is drawn by fewer of its triangles; says whether it is. */
  hasten(on: boolean): boolean {
    const { surface } = this.arrays;
    if (!on || surface.quads.length / 4 <= hastyQuads) {
      this.surfaceMesh.geometry = this.surface;
      return false;
    }
    if (!this.hasty) {
      let of = surface.level;
      while (of > 1 && surface.quads.length / 4 / 4 ** (surface.level - of) > hastyQuads) of -= 1;
      this.hasty = new BufferGeometry();
      for (const name of ["position", "normal"]) this.hasty.setAttribute(name, this.surface.getAttribute(name));
      this.hasty.setIndex(new BufferAttribute(quadTriangles(coarser(surface, of), () => true), 1));
    }
    this.surfaceMesh.geometry = this.hasty;
    return true;
  }

  private drawMask(): void {
    const { mask } = this.arrays;
    if (mask === this.shaded) return;
    this.shaded = mask;
    if (!this.shade && mask?.length) {
      this.shade = new Glow(this.surface, this.planes, colours.ink);
      this.group.add(this.shade.mesh);
    }
    this.shade?.show(mask?.length ? Float32Array.from(mask, (m) => m / 255) : null);
  }

  show(dress: Dress, marks: Marks): void {
    const changed = JSON.stringify(dress) !== JSON.stringify(this.dress);
    const dots = (marks.kind === "vertex") !== (this.marks.kind === "vertex");
    const same = JSON.stringify(marks) === JSON.stringify(this.marks);
    this.dress = dress;
    this.marks = marks;
    if (changed || dots) this.redraw();
    if (changed || !same) this.marking.show(marks, dress.display);
    this.line?.show(marks.kind === "piece" && marks.picked.length ? "picked" : marks.hover?.kind === "piece" ? "hover" : "plain");
  }

  /** All that depends on the form and on how it is shown, but not on what is picked. */
  private redraw(): void {
    const { surface } = this.arrays;
    const { display, material, colour, finish, faint, replaced } = this.dress;
    const { withCage } = this;
    this.tint.value = this.dress.backs ? 1 : 0;
    dressIn(this.surfaceMesh.material, material, colour, finish);
    asGlass(this.surfaceMesh, faint);
    asGlass(this.cageMesh, faint);
    this.surfaceMesh.visible = this.hasFaces && (display !== "cage" || this.dress.quiet) && !replaced;
    this.cageMesh.visible = this.hasFaces && display === "cage" && !this.dress.quiet;
    this.dots.visible = withCage && this.marks.kind === "vertex";

    this.drawCage();

    const wanted = `${this.dress.isolines} ${this.dress.wire}`;
    if (wanted !== this.drawnLines) {
      this.drawnLines = wanted;
      const upTo = Math.log2(this.dress.isolines);
      setIndex(this.iso, this.dress.isolines ? isolines(surface, upTo) : null);
      setIndex(this.wire, this.dress.wire ? wireframe(surface, this.dress.wire) : null);
    }
    this.iso.visible = this.dress.isolines > 0 && display !== "cage";
    this.wire.visible = this.dress.wire > 0 && display !== "cage";
    this.drawSigns();
  }

  /** The lines of the cage, by what they are. */
  private drawCage(): void {
    const { cage } = this.arrays;
    const { withCage } = this;
    const plain: number[] = [];
    const open: number[] = [];
    const seam: number[] = [];
    const creased: number[][] = creaseWidths.map(() => []);
    const shown = withCage && (this.hasFaces || this.dress.polygon);
    if (shown)
      for (let e = 0; e < cage.edge_verts.length / 2; e++) {
        const sharp = cage.edge_sharpness[e];
        if (cage.edge_seam[e]) seam.push(e);
        if (cage.edge_open[e]) open.push(e);
        else if (sharp === 0) plain.push(e);
        else creased[creaseWidths.findIndex(({ upTo }) => sharp <= upTo)].push(e);
      }
    this.plain.set(cage.positions, cage.edge_verts, plain);
    this.behind.set(cage.positions, cage.edge_verts, shown && this.display === "both" ? cage.edge_sharpness.keys() : []);
    this.open.set(cage.positions, cage.edge_verts, open);
    this.seam.set(cage.positions, cage.edge_verts, seam);
    this.creases.forEach((line, i) => line.set(cage.positions, cage.edge_verts, creased[i]));
  }

  private get withCage(): boolean {
    return this.display !== "surface" && !this.dress.quiet;
  }

  /** Normals, valences and the numbers of creases, where they are asked for. */
  private drawSigns(): void {
    const { cage } = this.arrays;
    this.drawSpikes();
    this.valences.show(cage, this.dress.valences);
    this.badges.show(cage, this.dress.badges && this.withCage);
  }

  /** The normal of each face, as a spike from its middle. */
  private drawSpikes(): void {
    const { cage } = this.arrays;
    if (!this.dress.normals) return this.spikes.set([], new Int32Array(), []);
    const points: number[] = [];
    const pairs: number[] = [];
    for (let f = 0; f + 1 < cage.face_offsets.length; f++) {
      const { middle, normal, area } = faceNormal(cage, f);
      pairs.push(points.length / 3, points.length / 3 + 1);
      points.push(...middle, ...plus(middle, normal, 0.4 * Math.sqrt(area)));
    }
    this.spikes.set(points, new Int32Array(pairs), [...Array(pairs.length / 2).keys()]);
  }

  /** Show how far each row of the surface takes part in a change; null for none. */
  weigh(rows: Float32Array | null): void {
    this.glow.show(this.display === "cage" ? null : rows);
  }

  /** Show a number at each row of the surface as a colour; null for none. */
  paint(map: ShownMap | null, unit: Unit, lines: boolean): void {
    this.mapped.show(this.display === "cage" && !this.dress.quiet ? null : map, unit, lines);
  }

  private allLines(): Lines[] {
    return [this.plain, this.behind, this.open, this.seam, ...this.creases, this.spikes, ...(this.line?.lines ?? [])];
  }

  private surfaceLines(color: string, opacity: number): LineSegments {
    const geometry = new BufferGeometry();
    // The points are the surface's own, so that lines follow every drag.
    geometry.setAttribute("position", this.surface.getAttribute("position"));
    const lines = new LineSegments(geometry, new LineBasicMaterial({ color, opacity, transparent: true }));
    lines.frustumCulled = false;
    lines.renderOrder = 4;
    lines.visible = false;
    return lines;
  }

  /** Search trees for rays; made when first asked for, and drawn after the points when asked for after a move. */
  get surfaceRays(): MeshBVH {
    if (!this.surfaceTree || !this.rayPoints) {
      this.rayPoints = new BufferAttribute(Float32Array.from(this.arrays.surface.positions), 3);
      const still = new BufferGeometry().setAttribute("position", this.rayPoints).setIndex(this.surface.getIndex());
      this.surfaceTree = this.grown("surface", still);
    }
    if (!this.frozen && this.outdated.has("surface")) this.rayPoints.array.set(this.arrays.surface.positions);
    return this.frozen ? this.surfaceTree : this.followed("surface", this.surfaceTree);
  }

  get cageRays(): MeshBVH {
    this.cageTree ??= this.grown("cage", this.cage);
    return this.followed("cage", this.cageTree);
  }

  private grown(which: "surface" | "cage", from: BufferGeometry): MeshBVH {
    this.outdated.delete(which);
    return new MeshBVH(from, { indirect: true });
  }

  /** The boxes are fitted anew: that costs a tenth of a new tree. */
  private followed(which: "surface" | "cage", tree: MeshBVH): MeshBVH {
    if (this.outdated.delete(which)) tree.refit();
    return tree;
  }

  faceOfSurfaceTriangle(triangle: number): number {
    return this.arrays.surface.face_of_quad[triangle >> 1];
  }

  faceOfCageTriangle(triangle: number): number {
    return this.triangleFace[triangle];
  }

  dispose(): void {
    // Its points are the surface's, and go with that.
    this.hasty?.deleteAttribute("position").deleteAttribute("normal").dispose();
    for (const part of [this.surface, this.cage, this.iso.geometry, this.wire.geometry]) part.dispose();
    for (const line of this.allLines()) line.dispose();
    this.glow.dispose();
    this.shade?.dispose();
    this.mapped.dispose();
    this.marking.dispose();
    this.valences.dispose();
    this.badges.dispose();
  }
}

function setIndex(lines: LineSegments, index: Uint32Array<ArrayBuffer> | null): void {
  lines.geometry.setIndex(index ? new BufferAttribute(index, 1) : null);
}
