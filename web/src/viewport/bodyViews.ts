/** What followers make of pieces, drawn in place of their own surfaces; and the edges of a body that are meant. */
import { Box3, BufferAttribute, BufferGeometry, Group, Mesh, type Plane, Points, PointsMaterial } from "three";
import { useBodies } from "../live/stores/bodies";
import { type Meant, meantLines } from "../model/bodies";
import type { Material } from "../live/stores/show";
import type { Body } from "../model/types";
import { colours } from "../theme/colours";
import { Lines } from "./lines";
import { asGlass, dressIn, type SurfaceMaterial, surfaceMaterial } from "./materials";
import { type Sign, Signs } from "./signs";

interface Shown {
  body: Body;
  mesh: Mesh<BufferGeometry, SurfaceMaterial>;
}

export class BodyViews {
  readonly group = new Group();
  private readonly shown = new Map<string, Shown>();
  private readonly tint = { value: 1 };
  private readonly meant = new Lines(colours.selection, 3.5, { onTop: true });
  private readonly under = new Lines(colours.hover, 3.5, { onTop: true });
  private readonly labels = new Signs();
  private readonly broken = new Points(new BufferGeometry(), new PointsMaterial({ size: 11, sizeAttenuation: false, color: colours.fault, depthTest: false }));

  constructor(private readonly planes: Plane[]) {
    this.broken.renderOrder = 14;
    this.broken.frustumCulled = false;
    this.group.add(this.meant.object, this.under.object, this.labels.group, this.broken);
  }

  /** Whether a piece's body is there to be drawn instead of its own surface. */
  has(id: string): boolean {
    return this.shown.has(id);
  }

  /** What a piece's body takes up. */
  boxOf(id: string): Box3 {
    const geometry = this.shown.get(id)?.mesh.geometry;
    geometry?.computeBoundingBox();
    return geometry?.boundingBox ?? new Box3();
  }

  /** The lowest height of all. */
  get lowest(): number {
    let lowest = Infinity;
    for (const { body } of this.shown.values())
      for (let i = 2; i < (body.points?.length ?? 0); i += 3) lowest = Math.min(lowest, body.points?.[i] ?? Infinity);
    return lowest;
  }

  /** Take over the bodies as last told. */
  sync(): void {
    const { byId, settled, meant, under, labels, broken } = useBodies.getState();
    const lines = (edges: Meant | null) => (edges ? meantLines(edges, settled[edges.piece]) : new Float32Array());
    for (const [id, { body, mesh }] of this.shown)
      if (byId[id] !== body) {
        this.group.remove(mesh);
        mesh.geometry.dispose();
        mesh.material.dispose();
        this.shown.delete(id);
      }
    for (const [id, body] of Object.entries(byId)) {
      if (this.shown.has(id) || !body.points || !body.normals || !body.triangles) continue;
      const geometry = new BufferGeometry();
      geometry.setAttribute("position", new BufferAttribute(body.points, 3));
      geometry.setAttribute("normal", new BufferAttribute(body.normals, 3));
      geometry.setIndex(new BufferAttribute(new Uint32Array(body.triangles), 1));
      const mesh = new Mesh(geometry, surfaceMaterial(this.planes, this.tint));
      mesh.frustumCulled = false;
      this.group.add(mesh);
      this.shown.set(id, { body, mesh });
    }
    show(this.meant, lines(meant));
    show(this.under, lines(under));
    this.labels.clear();
    for (const { at, words } of labels) this.labels.put(label(words), at, 40);
    this.broken.geometry.dispose();
    this.broken.geometry = new BufferGeometry();
    this.broken.geometry.setAttribute("position", new BufferAttribute(new Float32Array(broken.flat()), 3));
  }

  dress(visible: (id: string) => boolean, lookOf: (id: string) => [colour: string, finish: string], material: Material, isGlass: (id: string) => boolean): void {
    for (const [id, { mesh }] of this.shown) {
      mesh.visible = visible(id);
      dressIn(mesh.material, material, ...lookOf(id));
      asGlass(mesh, isGlass(id));
    }
  }

  dispose(): void {
    for (const { mesh } of this.shown.values()) {
      mesh.geometry.dispose();
      mesh.material.dispose();
    }
    this.meant.dispose();
    this.under.dispose();
    this.labels.clear();
    this.broken.geometry.dispose();
    this.broken.material.dispose();
  }
}

const show = (lines: Lines, ends: Float32Array) =>
  lines.set(ends, Int32Array.from({ length: ends.length / 3 }, (_, i) => i), Array.from({ length: ends.length / 6 }, (_, i) => i));

const label = (words: string): Sign => ({
  words, size: 64, grain: 160, font: 31, line: colours.crease, path: (pen) => pen.roundRect(5, 52, 150, 56, 24),
});
