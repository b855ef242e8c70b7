/** A map laid over a piece's surface: each of its rows in the colour of its value. */
import { BufferAttribute, BufferGeometry, Mesh, type MeshMatcapMaterial, type Plane } from "three";
import { isoLevels, isoSegments } from "../model/isolines";
import type { ShownMap } from "../model/types";
import { fromUnit, type Unit } from "../model/units";
import { colours } from "../theme/colours";
import { toneOf } from "../theme/scale";
import { Lines } from "./lines";
import { paleTexture, surfaceMaterial } from "./materials";

export class MapView {
  readonly mesh: Mesh<BufferGeometry, MeshMatcapMaterial>;
  private readonly count: number;
  private shown: ShownMap | null = null;
  private readonly lines = new Lines(colours.ink, 1.2, { raised: true, opacity: 0.8 });
  private lined: { map: ShownMap | null; unit: Unit } = { map: null, unit: "mm" };

  /** Shares the points of a surface, so that it follows every drag. */
  constructor(surface: BufferGeometry, planes: Plane[]) {
    const geometry = new BufferGeometry();
    const points = surface.getAttribute("position");
    this.count = points.count;
    geometry.setAttribute("position", points);
    geometry.setAttribute("normal", surface.getAttribute("normal"));
    geometry.setIndex(surface.getIndex());
    geometry.setAttribute("color", new BufferAttribute(new Float32Array(3 * this.count), 3));
    const material = surfaceMaterial(planes, { value: 0 });
    material.vertexColors = true;
    material.matcap = paleTexture();
    // Before the clay that it covers.
    material.polygonOffset = false;
    this.mesh = new Mesh(geometry, material);
    this.mesh.frustumCulled = false;
    this.mesh.visible = false;
  }

  /** Whether it covers the surface. */
  get covers(): boolean {
    return this.mesh.visible;
  }

  get isolines(): Lines["object"] {
    return this.lines.object;
  }

  /** Lines of the same value, at round steps of the unit that lengths are shown in. */
  private line(map: ShownMap | null, unit: Unit): void {
    if (map === this.lined.map && unit === this.lined.unit) return;
    this.lined = { map, unit };
    const index = this.mesh.geometry.getIndex();
    if (!map || !index) return this.lines.set([], [], []);
    const { values } = isoLevels(map.low, map.high, map.unit === "mm" ? fromUnit(1, unit) : 1);
    const ends = isoSegments(map.rows, index.array, this.mesh.geometry.getAttribute("position").array, values);
    const order = [...Array(ends.length / 3).keys()];
    this.lines.set(ends, order, order.slice(0, order.length / 2));
  }

  show(map: ShownMap | null, unit: Unit, lines: boolean): void {
    const fits = map !== null && map.rows.length === this.count;
    this.mesh.visible = fits;
    this.line(fits && lines ? map : null, unit);
    if (!fits || map === this.shown) return;
    this.shown = map;
    const attribute = this.mesh.geometry.getAttribute("color") as BufferAttribute;
    for (let i = 0; i < this.count; i++) attribute.array.set(toneOf(map.rows[i], map), 3 * i);
    attribute.needsUpdate = true;
  }

  dispose(): void {
    this.mesh.geometry.dispose();
    this.mesh.material.dispose();
    this.lines.dispose();
  }
}
