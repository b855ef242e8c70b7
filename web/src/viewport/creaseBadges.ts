/** How sharp creases and corners are, as a number: one badge for each line of edges of one sharpness. */
import { BufferAttribute, BufferGeometry, CanvasTexture, Group, Points, PointsMaterial, SRGBColorSpace, Vector3 } from "three";
import type { CageArrays } from "../live/types";
import { colours } from "../theme/colours";

const most = 60;
const textures = new Map<string, CanvasTexture>();

/** A rounded plate for edges, a lozenge for corners: told apart by form, not by colour. */
function plate(words: string, corner: boolean): CanvasTexture {
  const key = `${words} ${corner}`;
  const held = textures.get(key);
  if (held) return held;
  const canvas = document.createElement("canvas");
  canvas.width = canvas.height = 96;
  const pen = canvas.getContext("2d")!;
  pen.fillStyle = "#FFF6DC";
  pen.strokeStyle = colours.crease;
  pen.lineWidth = 5;
  pen.beginPath();
  if (corner) {
    pen.moveTo(48, 8);
    pen.lineTo(90, 48);
    pen.lineTo(48, 88);
    pen.lineTo(6, 48);
    pen.closePath();
  } else pen.roundRect(6, 26, 84, 44, 20);
  pen.fill();
  pen.stroke();
  pen.fillStyle = colours.ink;
  pen.font = `bold ${words.length > 3 ? 27 : 34}px sans-serif`;
  pen.textAlign = "center";
  pen.textBaseline = "middle";
  pen.fillText(words, 48, 50);
  const texture = new CanvasTexture(canvas);
  texture.colorSpace = SRGBColorSpace;
  textures.set(key, texture);
  return texture;
}

const wordsFor = (sharpness: number) => (sharpness >= 10 ? "hard" : String(Number(sharpness.toFixed(1))));

export class CreaseBadges {
  readonly group = new Group();

  private badges: { points: Points; places: Vector3[] }[] = [];

  show(cage: CageArrays, on: boolean): void {
    this.dispose();
    if (!on) return;
    const where = (v: number) => new Vector3(...cage.positions.subarray(3 * v, 3 * v + 3));
    const put = (sharpness: number, corner: boolean, places: Vector3[]) => {
      const geometry = new BufferGeometry();
      geometry.setAttribute("position", new BufferAttribute(new Float32Array(3), 3));
      const map = plate(wordsFor(sharpness), corner);
      const material = new PointsMaterial({ map, size: 34, sizeAttenuation: false, transparent: true, depthTest: false });
      const points = new Points(geometry, material);
      points.renderOrder = 17;
      points.frustumCulled = false;
      this.badges.push({ points, places });
      this.group.add(points);
    };
    for (const line of linesOf(cage).slice(0, most)) {
      const middles = line.map((e) => where(cage.edge_verts[2 * e]).add(where(cage.edge_verts[2 * e + 1])).multiplyScalar(0.5));
      put(cage.edge_sharpness[line[0]], false, middles);
    }
    cage.vertex_sharpness.forEach((sharpness, v) => sharpness > 0 && this.badges.length < 2 * most && put(sharpness, true, [where(v)]));
  }

  /** Lay each badge at that place of its line which lies nearest to the eye. */
  face(back: Vector3): void {
    for (const { points, places } of this.badges) {
      const best = places.reduce((a, b) => (b.dot(back) > a.dot(back) ? b : a));
      const attribute = points.geometry.getAttribute("position") as BufferAttribute;
      attribute.setXYZ(0, best.x, best.y, best.z);
      attribute.needsUpdate = true;
    }
  }

  dispose(): void {
    for (const points of [...this.group.children] as Points[]) {
      points.geometry.dispose();
      (points.material as PointsMaterial).dispose();
      this.group.remove(points);
    }
    this.badges = [];
  }
}

/** Creased edges of one sharpness that hang together, each group in the order of a walk. */
function linesOf(cage: CageArrays): number[][] {
  const at = new Map<string, number[]>();
  const keys = (e: number) => [0, 1].map((k) => `${cage.edge_sharpness[e]} ${cage.edge_verts[2 * e + k]}`);
  const left = new Set<number>();
  cage.edge_sharpness.forEach((sharpness, e) => {
    if (sharpness <= 0) return;
    left.add(e);
    for (const key of keys(e)) at.set(key, [...(at.get(key) ?? []), e]);
  });
  const lines: number[][] = [];
  while (left.size) {
    const [start] = left;
    left.delete(start);
    const line = [start];
    for (let i = 0; i < line.length; i++)
      for (const key of keys(line[i]))
        for (const next of at.get(key) ?? []) if (left.delete(next)) line.push(next);
    lines.push(line);
  }
  return lines;
}
