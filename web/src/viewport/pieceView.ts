/** One piece on the screen: its surface, its cage, and what is picked, hovered or at fault on it. */
import {
  BufferAttribute,
  BufferGeometry,
  Group,
  LineBasicMaterial,
  LineSegments,
  Mesh,
  MeshBasicMaterial,
  MeshMatcapMaterial,
  DoubleSide,
  type Plane,
  Points,
  PointsMaterial,
  type Vector3,
} from "three";
import { MeshBVH } from "three-mesh-bvh";
import type { Display, Hover } from "../live/bench";
import type { Material } from "../live/look";
import type { PieceArrays } from "../live/pieces";
import type { CageArrays, Kind } from "../live/types";
import { colours } from "../theme/colours";
import { CreaseBadges } from "./creaseBadges";
import { isolines, wireframe } from "./denseLines";
import { Glow } from "./glow";
import { Lines } from "./lines";
import { paleTexture, surfaceMaterial, surfaceTexture } from "./materials";
import { faceNormal } from "./measure";
import { ValenceMarks } from "./valenceMarks";

export interface Marks {
  kind: Kind;
  picked: number[];
  hover: Hover;
  faults: { vertices: number[]; edges: number[]; faces: number[] } | null;
  /** Elements that were set aside, to be joined with what is picked next. */
  held: { kind: Kind; ids: number[] } | null;
}

export interface Dress {
  display: Display;
  material: Material;
  colour: string;
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
}

/** Crease lines grow with sharpness: one set of lines for each width. */
const creaseWidths = [
  { upTo: 1, width: 2 },
  { upTo: 3, width: 3 },
  { upTo: 9.99, width: 4 },
  { upTo: 10, width: 5 },
];

export class PieceView {
  readonly group = new Group();
  private readonly surface: BufferGeometry;
  private readonly cage: BufferGeometry;
  private readonly surfaceMesh: Mesh<BufferGeometry, MeshMatcapMaterial>;
  private readonly cageMesh: Mesh;
  private readonly fills: Mesh[] = [];
  private readonly plain = new Lines(colours.ink, 1.3, { opacity: 0.75 });
  private readonly open = new Lines(colours.open, 3);
  private readonly creases = creaseWidths.map(({ width }) => new Lines(colours.crease, width));
  private readonly picked = new Lines(colours.selection, 3.5, { onTop: true });
  private readonly hovered = new Lines(colours.hover, 3, { onTop: true });
  private readonly seam = new Lines(colours.seam, 2.4, { dashed: true, dash: 0.5 });
  private readonly answers = new Lines(colours.selection, 2, { onTop: true, opacity: 0.45 });
  private readonly aside = new Lines(colours.river, 4, { onTop: true });
  private readonly faulty = new Lines(colours.fault, 5, { onTop: true, dashed: true });
  private readonly spikes = new Lines(colours.river, 1.6);
  private readonly iso: LineSegments;
  private readonly wire: LineSegments;
  private readonly valences = new ValenceMarks();
  private readonly badges = new CreaseBadges();
  private readonly dots = new Points(
    new BufferGeometry(),
    new PointsMaterial({ size: 6, sizeAttenuation: false, color: colours.ink }),
  );
  private readonly pickedDots = dotsOnTop(colours.selection, 9);
  private readonly hoverDots = dotsOnTop(colours.hover, 10);
  private readonly answerDots = dotsOnTop(colours.answer, 7);
  private readonly glow: Glow;
  private readonly triangleFace: Int32Array;
  private readonly tint = { value: 1 };
  private surfaceTree: MeshBVH | null = null;
  private cageTree: MeshBVH | null = null;
  private marks: Marks = { kind: "face", picked: [], hover: null, faults: null, held: null };
  private dress: Dress = {
    display: "both", material: "clay", colour: "clay", isolines: 0, wire: 0, normals: false, valences: false, badges: false, backs: true, faint: false, replaced: false,
  };
  private drawnLines = "";

  constructor(
    readonly id: string,
    readonly arrays: PieceArrays,
    planes: Plane[],
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

    this.glow = new Glow(this.surface, planes);
    const lines = this.allLines();
    this.group.add(this.surfaceMesh, this.cageMesh, this.dots, this.pickedDots, this.hoverDots, this.answerDots, this.iso, this.wire, this.glow.mesh);
    this.group.add(this.valences.group, this.badges.group, ...lines.map((line) => line.object));
    for (const part of [this.iso, this.wire]) (part.material as LineBasicMaterial).clippingPlanes = planes;
    for (const line of lines) line.clip(planes);
    this.dots.material.clippingPlanes = planes;
    this.redraw();
    this.refreshMarks();
  }

  get display(): Display {
    return this.dress.display;
  }

  /** The view turned: what is to be read faces the eye. */
  face(back: Vector3): void {
    this.badges.face(back);
  }

  /** Positions were changed in place. */
  moved(): void {
    this.surface.getAttribute("position").needsUpdate = true;
    this.surface.getAttribute("normal").needsUpdate = true;
    const attribute = this.cage.getAttribute("position") as BufferAttribute;
    attribute.array.set(this.arrays.cage.positions);
    attribute.needsUpdate = true;
    this.surfaceTree = this.cageTree = null;
    this.redraw();
    this.refreshMarks();
  }

  show(dress: Dress, marks: Marks): void {
    const changed = JSON.stringify(dress) !== JSON.stringify(this.dress);
    const dots = (marks.kind === "vertex") !== (this.marks.kind === "vertex");
    const same = JSON.stringify(marks) === JSON.stringify(this.marks);
    this.dress = dress;
    this.marks = marks;
    if (changed || dots) this.redraw();
    if (changed || !same) this.refreshMarks();
  }

  /** All that depends on the form and on how it is shown, but not on what is picked. */
  private redraw(): void {
    const { cage, surface } = this.arrays;
    const { display, material, colour, faint, replaced } = this.dress;
    const withCage = display !== "surface" && !faint;
    this.tint.value = this.dress.backs ? 1 : 0;
    const clay = this.surfaceMesh.material;
    clay.matcap = surfaceTexture(material, colour);
    if (clay.transparent !== faint) clay.needsUpdate = true;
    Object.assign(clay, { transparent: faint, opacity: faint ? 0.5 : 1, depthWrite: !faint });
    this.surfaceMesh.renderOrder = faint ? 3 : 0;
    this.surfaceMesh.visible = (display !== "cage" && !replaced) || faint;
    this.cageMesh.visible = display === "cage" && !faint;
    this.dots.visible = withCage && this.marks.kind === "vertex";

    const plain: number[] = [];
    const open: number[] = [];
    const seam: number[] = [];
    const creased: number[][] = creaseWidths.map(() => []);
    if (withCage)
      for (let e = 0; e < cage.edge_verts.length / 2; e++) {
        const sharp = cage.edge_sharpness[e];
        if (cage.edge_seam[e]) seam.push(e);
        if (cage.edge_open[e]) open.push(e);
        else if (sharp === 0) plain.push(e);
        else creased[creaseWidths.findIndex(({ upTo }) => sharp <= upTo)].push(e);
      }
    this.plain.set(cage.positions, cage.edge_verts, plain);
    this.open.set(cage.positions, cage.edge_verts, open);
    this.seam.set(cage.positions, cage.edge_verts, seam);
    this.creases.forEach((line, i) => line.set(cage.positions, cage.edge_verts, creased[i]));

    const wanted = `${this.dress.isolines} ${this.dress.wire}`;
    if (wanted !== this.drawnLines) {
      this.drawnLines = wanted;
      const upTo = Math.log2(this.dress.isolines);
      setIndex(this.iso, this.dress.isolines ? isolines(surface, upTo) : null);
      setIndex(this.wire, this.dress.wire ? wireframe(surface, this.dress.wire) : null);
    }
    this.iso.visible = this.dress.isolines > 0 && display !== "cage";
    this.wire.visible = this.dress.wire > 0 && display !== "cage";
    this.drawSpikes();
    this.valences.show(cage, this.dress.valences);
    this.badges.show(cage, this.dress.badges && withCage);
  }

  /** The normal of each face, as a spike from its middle. */
  private drawSpikes(): void {
    const { cage } = this.arrays;
    if (!this.dress.normals) return this.spikes.set([], new Int32Array(), []);
    const points: number[] = [];
    const pairs: number[] = [];
    for (let f = 0; f + 1 < cage.face_offsets.length; f++) {
      const { middle, normal, area } = faceNormal(cage, f);
      const tip = middle.clone().addScaledVector(normal, 0.4 * Math.sqrt(area));
      pairs.push(points.length / 3, points.length / 3 + 1);
      points.push(...middle.toArray(), ...tip.toArray());
    }
    this.spikes.set(points, new Int32Array(pairs), [...Array(pairs.length / 2).keys()]);
  }

  private refreshMarks(): void {
    const { cage } = this.arrays;
    const { kind, faults } = this.marks;
    // New arrays come a moment before the new pick: what is not there any more is not marked.
    const there = (of: Kind) => {
      const count = elementCount(cage, of);
      return (id: number) => id < count;
    };
    const picked = this.marks.picked.filter(there(kind));
    const hover = this.marks.hover && there(this.marks.hover.kind)(this.marks.hover.id) ? this.marks.hover : null;
    const draw = (line: Lines, wanted: Iterable<number>) => line.set(cage.positions, cage.edge_verts, wanted);
    draw(this.picked, kind === "edge" ? picked : []);
    const hovers = hover ? [hover.id] : [];
    const answering = this.answering(kind, picked);
    draw(this.answers, kind === "edge" ? answering : []);
    this.setDots(this.answerDots, kind === "vertex" ? answering : []);
    const held = this.marks.held && { ...this.marks.held, ids: this.marks.held.ids.filter(there(this.marks.held.kind)) };
    draw(this.aside, held?.kind === "edge" ? held.ids : []);
    draw(this.hovered, hover?.kind === "edge" ? hovers : []);
    draw(this.faulty, (faults?.edges ?? []).filter(there("edge")));
    this.setDots(this.pickedDots, [...(kind === "vertex" ? picked : []), ...(faults?.vertices ?? []).filter(there("vertex"))]);
    this.setDots(this.hoverDots, hover?.kind === "vertex" ? hovers : []);

    this.dropFills();
    const whole = (on: boolean) => (on ? [...Array(cage.face_offsets.length - 1).keys()] : []);
    this.fill(kind === "piece" ? whole(picked.length > 0) : kind === "face" ? picked : [], colours.selection, kind === "piece" ? 0.22 : 0.5);
    this.fill(kind === "face" ? answering : [], colours.selection, 0.2);
    this.fill(held?.kind === "face" ? held.ids : [], colours.river, 0.5);
    this.fill(hover?.kind === "piece" ? whole(true) : hover?.kind === "face" ? hovers : [], colours.hover, hover?.kind === "piece" ? 0.16 : 0.32);
    this.fill(faults?.faces ?? [], colours.fault, 0.6);
  }

  private dropFills(): void {
    for (const fill of this.fills.splice(0)) {
      this.group.remove(fill);
      // The points are the surface's own: disposed of with the tint, its buffer on the card would be lost to the surface too.
      fill.geometry.deleteAttribute("position");
      fill.geometry.dispose();
    }
  }

  /** Tint some faces, on the surface and on the cage, whichever is shown. The tint shares their points. */
  private fill(faces: number[], color: string, opacity: number): void {
    if (!faces.length) return;
    const wanted = new Set(faces);
    const { surface, cage } = this.arrays;
    const shown: [BufferGeometry, Uint32Array, number][] = [];
    if (this.display !== "cage")
      shown.push([this.surface, quadTriangles(surface.quads, (q) => wanted.has(surface.face_of_quad[q])), opacity]);
    if (this.display !== "surface") {
      const { index } = fans(cage.face_verts, cage.face_offsets, wanted);
      shown.push([this.cage, index, this.display === "cage" ? opacity : opacity * 0.3]);
    }
    for (const [from, index, strength] of shown) {
      const geometry = new BufferGeometry();
      geometry.setAttribute("position", from.getAttribute("position"));
      geometry.setIndex(new BufferAttribute(index, 1));
      const material = new MeshBasicMaterial({ color, opacity: strength, transparent: true, side: DoubleSide });
      material.clippingPlanes = this.surfaceMesh.material.clippingPlanes;
      material.depthWrite = false;
      const mesh = new Mesh(geometry, material);
      mesh.frustumCulled = false;
      mesh.renderOrder = 5;
      this.fills.push(mesh);
      this.group.add(mesh);
    }
  }

  /** What the picked elements answer to on the other sides, where the piece is symmetric. */
  private answering(kind: Kind, picked: number[]): number[] {
    const images = kind === "piece" ? undefined : this.arrays.cage.images?.[kind];
    if (!images || !picked.length) return [];
    const { cage } = this.arrays;
    const count = elementCount(cage, kind);
    const own = new Set(picked);
    const found = new Set<number>();
    for (let side = 0; side < images.length / count; side++)
      for (const id of picked) {
        const answer = images[side * count + id];
        if (!own.has(answer)) found.add(answer);
      }
    return [...found];
  }

  /** Show how far each row of the surface takes part in a change; null for none. */
  weigh(rows: Float32Array | null): void {
    this.glow.show(this.display === "cage" ? null : rows);
  }

  private allLines(): Lines[] {
    return [
      this.plain, this.open, this.seam, ...this.creases, this.picked, this.answers, this.hovered, this.aside, this.faulty, this.spikes,
    ];
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

  private setDots(dots: Points, vertices: number[]): void {
    const flat = new Float32Array(3 * vertices.length);
    vertices.forEach((v, i) => flat.set(this.arrays.cage.positions.subarray(3 * v, 3 * v + 3), 3 * i));
    dots.geometry.dispose();
    dots.geometry = new BufferGeometry();
    dots.geometry.setAttribute("position", new BufferAttribute(flat, 3));
    dots.visible = vertices.length > 0;
  }

  /** Search trees for rays; made when first asked for after a change. */
  get surfaceRays(): MeshBVH {
    return (this.surfaceTree ??= new MeshBVH(this.surface, { indirect: true }));
  }

  get cageRays(): MeshBVH {
    return (this.cageTree ??= new MeshBVH(this.cage, { indirect: true }));
  }

  faceOfSurfaceTriangle(triangle: number): number {
    return this.arrays.surface.face_of_quad[triangle >> 1];
  }

  faceOfCageTriangle(triangle: number): number {
    return this.triangleFace[triangle];
  }

  dispose(): void {
    for (const part of [this.surface, this.cage, this.iso.geometry, this.wire.geometry]) part.dispose();
    for (const line of this.allLines()) line.dispose();
    this.glow.dispose();
    this.dropFills();
    this.valences.dispose();
    this.badges.dispose();
  }
}

function elementCount(cage: CageArrays, kind: Kind): number {
  return { vertex: cage.positions.length / 3, edge: cage.edge_verts.length / 2, face: cage.face_offsets.length - 1, piece: 1 }[kind];
}

function setIndex(lines: LineSegments, index: Uint32Array<ArrayBuffer> | null): void {
  lines.geometry.setIndex(index ? new BufferAttribute(index, 1) : null);
}

function dotsOnTop(color: string, size: number): Points {
  const material = new PointsMaterial({ size, sizeAttenuation: false, color, depthTest: false, transparent: true });
  const dots = new Points(new BufferGeometry(), material);
  dots.renderOrder = 21;
  dots.frustumCulled = false;
  dots.visible = false;
  return dots;
}

function quadTriangles(quads: Int32Array, wanted: (quad: number) => boolean): Uint32Array<ArrayBuffer> {
  const index: number[] = [];
  for (let q = 0; q < quads.length / 4; q++) {
    if (!wanted(q)) continue;
    const [a, b, c, d] = quads.subarray(4 * q, 4 * q + 4);
    index.push(a, b, c, a, c, d);
  }
  return new Uint32Array(index);
}

function fans(
  faceVerts: Int32Array,
  offsets: Int32Array,
  wanted?: Set<number>,
): { index: Uint32Array<ArrayBuffer>; face: Int32Array } {
  const index: number[] = [];
  const face: number[] = [];
  for (let f = 0; f + 1 < offsets.length; f++) {
    if (wanted && !wanted.has(f)) continue;
    for (let c = offsets[f] + 1; c + 1 < offsets[f + 1]; c++) {
      index.push(faceVerts[offsets[f]], faceVerts[c], faceVerts[c + 1]);
      face.push(f);
    }
  }
  return { index: new Uint32Array(index), face: new Int32Array(face) };
}
