/** What is picked, hovered, set aside or at fault on a piece, and what answers to it on the other sides. */
import {
  BufferAttribute, BufferGeometry, DoubleSide, type Group, Mesh, MeshBasicMaterial, type Plane, Points, PointsMaterial,
} from "three";
import type { Hover } from "../live/stores/picking";
import type { Shows } from "../live/stores/show";
import type { PieceArrays } from "../live/pieces";
import type { CageArrays, Kind } from "../model/types";
import { faceCount } from "../model/measure";
import { colours } from "../theme/colours";
import { Lines } from "./lines";
import { fans, quadTriangles } from "./triangles";

export interface Marks {
  kind: Kind;
  picked: number[];
  hover: Hover | null;
  faults: { vertices: number[]; edges: number[]; faces: number[] } | null;
  /** Elements that were set aside, to be joined with what is picked next. */
  held: { kind: Kind; ids: number[] } | null;
}

export class MarksView {
  private readonly fills: Mesh<BufferGeometry, MeshBasicMaterial>[] = [];
  private readonly picked = new Lines(colours.selection, 3.5, { onTop: true });
  private readonly hovered = new Lines(colours.hover, 3, { onTop: true });
  private readonly answers = new Lines(colours.selection, 2, { onTop: true, opacity: 0.45 });
  private readonly aside = new Lines(colours.river, 4, { onTop: true });
  private readonly faulty = new Lines(colours.fault, 5, { onTop: true, dashed: true });
  private readonly pickedDots = new Dots(colours.selection, 9);
  private readonly hoverDots = new Dots(colours.hover, 10);
  private readonly answerDots = new Dots(colours.answer, 7);

  /** Into the group of the piece; fills share the points of its surface and of its cage, so that they follow every drag. */
  constructor(
    private readonly group: Group,
    private readonly arrays: PieceArrays,
    private readonly surface: BufferGeometry,
    private readonly cage: BufferGeometry,
    private readonly planes: Plane[],
  ) {
    group.add(...this.dots.map((d) => d.object), ...this.lines.map((line) => line.object));
    for (const line of this.lines) line.clip(planes);
  }

  private get lines(): Lines[] {
    return [this.picked, this.answers, this.hovered, this.aside, this.faulty];
  }

  private get dots(): Dots[] {
    return [this.pickedDots, this.hoverDots, this.answerDots];
  }

  /** Positions were changed in place. */
  moved(): void {
    const { positions } = this.arrays.cage;
    for (const part of [...this.lines, ...this.dots]) part.moved(positions);
  }

  show(given: Marks, display: Shows): void {
    const marks = thereOf(given, this.arrays.cage);
    const answering = this.answering(marks.kind, marks.picked);
    this.showLines(marks, answering);
    this.showDots(marks, answering);
    this.dropFills();
    for (const [faces, color, opacity] of this.tints(marks, answering)) this.fill(faces, color, opacity, display);
  }

  private showLines(marks: Marks, answering: number[]): void {
    const { positions, edge_verts } = this.arrays.cage;
    const draw = (line: Lines, edges: number[]) => line.set(positions, edge_verts, edges);
    draw(this.picked, ofKind("edge", marks.kind, marks.picked));
    draw(this.answers, ofKind("edge", marks.kind, answering));
    draw(this.aside, ofKind("edge", marks.held?.kind, marks.held?.ids));
    draw(this.hovered, hovered("edge", marks));
    draw(this.faulty, marks.faults?.edges ?? []);
  }

  private showDots(marks: Marks, answering: number[]): void {
    const { positions } = this.arrays.cage;
    this.pickedDots.set(positions, [...ofKind("vertex", marks.kind, marks.picked), ...(marks.faults?.vertices ?? [])]);
    this.hoverDots.set(positions, hovered("vertex", marks));
    this.answerDots.set(positions, ofKind("vertex", marks.kind, answering));
  }

  /** Faces to be tinted: a whole piece lightly, faces strongly. */
  private tints(marks: Marks, answering: number[]): [faces: number[], color: string, opacity: number][] {
    const whole = (on: boolean) => (on ? [...Array(faceCount(this.arrays.cage)).keys()] : []);
    const { kind, picked, hover, held, faults } = marks;
    return [
      [whole(kind === "piece" && picked.length > 0), colours.selection, 0.22],
      [ofKind("face", kind, picked), colours.selection, 0.5],
      [ofKind("face", kind, answering), colours.selection, 0.2],
      [ofKind("face", held?.kind, held?.ids), colours.river, 0.5],
      [whole(hover?.kind === "piece"), colours.hover, 0.16],
      [hovered("face", marks), colours.hover, 0.32],
      [faults?.faces ?? [], colours.fault, 0.6],
    ];
  }

  private dropFills(): void {
    for (const fill of this.fills.splice(0)) {
      this.group.remove(fill);
      // The points are the surface's own: disposed of with the tint, its buffer on the card would be lost to the surface too.
      fill.geometry.deleteAttribute("position");
      fill.geometry.dispose();
      fill.material.dispose();
    }
  }

  /** Tint some faces, on the surface and on the cage, whichever is shown. */
  private fill(faces: number[], color: string, opacity: number, display: Shows): void {
    if (!faces.length) return;
    const wanted = new Set(faces);
    const { surface, cage } = this.arrays;
    const shown: [BufferGeometry, Uint32Array<ArrayBuffer>, number][] = [];
    if (display !== "cage")
      shown.push([this.surface, quadTriangles(surface.quads, (q) => wanted.has(surface.face_of_quad[q])), opacity]);
    if (display !== "surface") {
      const { index } = fans(cage.face_verts, cage.face_offsets, wanted);
      shown.push([this.cage, index, display === "cage" ? opacity : opacity * 0.3]);
    }
    for (const [from, index, strength] of shown) {
      const geometry = new BufferGeometry();
      geometry.setAttribute("position", from.getAttribute("position"));
      geometry.setIndex(new BufferAttribute(index, 1));
      const material = new MeshBasicMaterial({ color, opacity: strength, transparent: true, side: DoubleSide });
      material.clippingPlanes = this.planes;
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
    const count = elementCount(this.arrays.cage, kind);
    const own = new Set(picked);
    const found = new Set<number>();
    for (let side = 0; side < images.length / count; side++)
      for (const id of picked) {
        const answer = images[side * count + id];
        if (!own.has(answer)) found.add(answer);
      }
    return [...found];
  }

  dispose(): void {
    for (const part of [...this.lines, ...this.dots]) part.dispose();
    this.dropFills();
  }
}

/** Vertices as dots of one colour, in front of everything. */
class Dots {
  readonly object: Points<BufferGeometry, PointsMaterial>;
  private vertices: number[] = [];

  constructor(color: string, size: number) {
    const material = new PointsMaterial({ size, sizeAttenuation: false, color, depthTest: false, transparent: true });
    this.object = new Points(new BufferGeometry(), material);
    this.object.renderOrder = 21;
    this.object.frustumCulled = false;
    this.object.visible = false;
  }

  set(positions: Float64Array, vertices: number[]): void {
    this.vertices = vertices;
    this.object.visible = vertices.length > 0;
    this.object.geometry.dispose();
    this.object.geometry = new BufferGeometry();
    this.object.geometry.setAttribute("position", new BufferAttribute(new Float32Array(3 * vertices.length), 3));
    this.moved(positions);
  }

  moved(positions: Float64Array): void {
    const attribute = this.object.geometry.getAttribute("position") as BufferAttribute | undefined;
    if (!attribute) return;
    this.vertices.forEach((v, i) => attribute.array.set(positions.subarray(3 * v, 3 * v + 3), 3 * i));
    attribute.needsUpdate = true;
  }

  dispose(): void {
    this.object.geometry.dispose();
    this.object.material.dispose();
  }
}

function elementCount(cage: CageArrays, kind: Kind): number {
  return { vertex: cage.positions.length / 3, edge: cage.edge_verts.length / 2, face: cage.face_offsets.length - 1, piece: 1 }[kind];
}

const ofKind = (wanted: Kind, kind: Kind | undefined, ids: number[] = []): number[] => (kind === wanted ? ids : []);
const hovered = (kind: Kind, { hover }: Marks): number[] => (hover?.kind === kind ? [hover.id] : []);

/** New arrays come a moment before the new pick: what is not there any more is not marked. */
function thereOf(marks: Marks, cage: CageArrays): Marks {
  const there = (kind: Kind, ids: number[]) => {
    const count = elementCount(cage, kind);
    return ids.filter((id) => id < count);
  };
  const { kind, picked, hover, held, faults } = marks;
  return {
    kind,
    picked: there(kind, picked),
    hover: hover && there(hover.kind, [hover.id]).length ? hover : null,
    held: held && { ...held, ids: there(held.kind, held.ids) },
    faults: faults && { vertices: there("vertex", faults.vertices), edges: there("edge", faults.edges), faces: there("face", faults.faces) },
  };
}
