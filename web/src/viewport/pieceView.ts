/** One piece on the screen: its surface, its cage, and what is picked, hovered or at fault on it. */
import {
  BufferAttribute,
  BufferGeometry,
  type CanvasTexture,
  DoubleSide,
  Group,
  Mesh,
  MeshBasicMaterial,
  MeshMatcapMaterial,
  Points,
  PointsMaterial,
} from "three";
import { MeshBVH } from "three-mesh-bvh";
import type { Display, Hover } from "../live/bench";
import type { PieceArrays } from "../live/pieces";
import type { Kind } from "../live/types";
import { colours } from "../theme/colours";
import { Lines } from "./lines";

export interface Marks {
  kind: Kind;
  picked: number[];
  hover: Hover;
  faults: { vertices: number[]; edges: number[]; faces: number[] } | null;
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
  private readonly surfaceMesh: Mesh;
  private readonly cageMesh: Mesh;
  private readonly fills: Mesh[] = [];
  private readonly plain = new Lines(colours.ink, 1.3, { opacity: 0.75 });
  private readonly open = new Lines(colours.open, 3);
  private readonly creases = creaseWidths.map(({ width }) => new Lines(colours.crease, width));
  private readonly picked = new Lines(colours.selection, 3.5, { onTop: true });
  private readonly hovered = new Lines(colours.hover, 3, { onTop: true });
  private readonly faulty = new Lines(colours.fault, 5, { onTop: true, dashed: true });
  private readonly dots = new Points(
    new BufferGeometry(),
    new PointsMaterial({ size: 6, sizeAttenuation: false, color: colours.ink }),
  );
  private readonly pickedDots = dotsOnTop(colours.selection, 9);
  private readonly hoverDots = dotsOnTop(colours.hover, 10);
  private readonly triangleFace: Int32Array;
  private surfaceTree: MeshBVH | null = null;
  private cageTree: MeshBVH | null = null;
  private marks: Marks = { kind: "face", picked: [], hover: null, faults: null };
  display: Display = "both";

  constructor(
    readonly id: string,
    readonly arrays: PieceArrays,
    matcap: CanvasTexture,
    paleMatcap: CanvasTexture,
  ) {
    const { surface, cage } = arrays;
    this.surface = new BufferGeometry();
    this.surface.setAttribute("position", new BufferAttribute(surface.positions, 3));
    this.surface.setAttribute("normal", new BufferAttribute(surface.normals, 3));
    this.surface.setIndex(new BufferAttribute(quadTriangles(surface.quads, () => true), 1));
    this.surfaceMesh = new Mesh(this.surface, new MeshMatcapMaterial({ matcap, side: DoubleSide }));

    this.cage = new BufferGeometry();
    this.cage.setAttribute("position", new BufferAttribute(new Float32Array(cage.positions), 3));
    const { index, face } = fans(cage.face_verts, cage.face_offsets);
    this.triangleFace = face;
    this.cage.setIndex(new BufferAttribute(index, 1));
    const flat = new MeshMatcapMaterial({ matcap: paleMatcap, flatShading: true, side: DoubleSide });
    flat.polygonOffset = true;
    flat.polygonOffsetFactor = flat.polygonOffsetUnits = 1;
    this.cageMesh = new Mesh(this.cage, flat);
    this.dots.geometry.setAttribute("position", this.cage.getAttribute("position"));
    for (const mesh of [this.surfaceMesh, this.cageMesh, this.dots]) mesh.frustumCulled = false;
    this.dots.renderOrder = 11;

    const lines = [this.plain, this.open, ...this.creases, this.picked, this.hovered, this.faulty];
    this.group.add(this.surfaceMesh, this.cageMesh, this.dots, this.pickedDots, this.hoverDots);
    this.group.add(...lines.map((line) => line.object));
    this.refresh();
  }

  /** Positions were changed in place. */
  moved(): void {
    this.surface.getAttribute("position").needsUpdate = true;
    this.surface.getAttribute("normal").needsUpdate = true;
    const attribute = this.cage.getAttribute("position") as BufferAttribute;
    attribute.array.set(this.arrays.cage.positions);
    attribute.needsUpdate = true;
    this.surfaceTree = this.cageTree = null;
    this.refresh();
  }

  show(display: Display, marks: Marks): void {
    this.display = display;
    this.marks = marks;
    this.refresh();
  }

  private refresh(): void {
    const { cage } = this.arrays;
    const { kind, picked, hover, faults } = this.marks;
    const withCage = this.display !== "surface";
    this.surfaceMesh.visible = this.display !== "cage";
    this.cageMesh.visible = this.display === "cage";
    this.dots.visible = withCage && kind === "vertex";
    const edges = [...Array(cage.edge_verts.length / 2).keys()];
    const sharp = (e: number) => cage.edge_sharpness[e];
    const draw = (line: Lines, wanted: Iterable<number>) => line.set(cage.positions, cage.edge_verts, wanted);
    draw(this.plain, withCage ? edges.filter((e) => !cage.edge_open[e] && sharp(e) === 0) : []);
    draw(this.open, edges.filter((e) => cage.edge_open[e] && withCage));
    creaseWidths.forEach(({ upTo }, i) => {
      const from = i ? creaseWidths[i - 1].upTo : 0;
      const here = (e: number) => !cage.edge_open[e] && sharp(e) > from && sharp(e) <= upTo;
      draw(this.creases[i], withCage ? edges.filter(here) : []);
    });
    draw(this.picked, kind === "edge" ? picked : []);
    const hovers = hover ? [hover.id] : [];
    draw(this.hovered, hover?.kind === "edge" ? hovers : []);
    draw(this.faulty, faults?.edges ?? []);
    this.setDots(this.pickedDots, [...(kind === "vertex" ? picked : []), ...(faults?.vertices ?? [])]);
    this.setDots(this.hoverDots, hover?.kind === "vertex" ? hovers : []);

    for (const fill of this.fills.splice(0)) {
      this.group.remove(fill);
      fill.geometry.dispose();
    }
    this.fill(kind === "face" ? picked : [], colours.selection, 0.5);
    this.fill(hover?.kind === "face" ? hovers : [], colours.hover, 0.32);
    this.fill(faults?.faces ?? [], colours.fault, 0.6);
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
      material.polygonOffset = true;
      material.polygonOffsetFactor = material.polygonOffsetUnits = -1;
      material.depthWrite = false;
      const mesh = new Mesh(geometry, material);
      mesh.frustumCulled = false;
      mesh.renderOrder = 5;
      this.fills.push(mesh);
      this.group.add(mesh);
    }
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
    this.surface.dispose();
    this.cage.dispose();
    for (const line of [this.plain, this.open, ...this.creases, this.picked, this.hovered, this.faulty]) line.dispose();
    for (const fill of this.fills) fill.geometry.dispose();
  }
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
