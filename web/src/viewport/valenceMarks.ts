/** Extraordinary vertices, marked by their valence as a number in a disc: never by colour alone. */
import { BufferAttribute, BufferGeometry, CanvasTexture, Group, Points, PointsMaterial, SRGBColorSpace } from "three";
import type { CageArrays } from "../live/types";

const tones: Record<number, string> = { 3: "#1F6F78", 5: "#6B4A36" };
const textures = new Map<number, CanvasTexture>();

function disc(valence: number): CanvasTexture {
  let texture = textures.get(valence);
  if (texture) return texture;
  const canvas = document.createElement("canvas");
  canvas.width = canvas.height = 64;
  const pen = canvas.getContext("2d")!;
  pen.fillStyle = tones[valence] ?? "#B3261E";
  pen.beginPath();
  pen.arc(32, 32, 30, 0, 2 * Math.PI);
  pen.fill();
  pen.fillStyle = "#FFFFFF";
  pen.font = "bold 44px sans-serif";
  pen.textAlign = "center";
  pen.textBaseline = "middle";
  pen.fillText(String(valence), 32, 35);
  texture = new CanvasTexture(canvas);
  texture.colorSpace = SRGBColorSpace;
  textures.set(valence, texture);
  return texture;
}

export class ValenceMarks {
  readonly group = new Group();

  /** Inner vertices whose valence is not 4. */
  show(cage: CageArrays, on: boolean): void {
    this.dispose();
    if (!on) return;
    const count = cage.positions.length / 3;
    const valence = new Int32Array(count);
    const border = new Uint8Array(count);
    for (let e = 0; e < cage.edge_verts.length / 2; e++)
      for (const v of cage.edge_verts.subarray(2 * e, 2 * e + 2)) {
        valence[v] += 1;
        if (cage.edge_open[e]) border[v] = 1;
      }
    const at = new Map<number, number[]>();
    for (let v = 0; v < count; v++)
      if (!border[v] && valence[v] !== 4) {
        const list = at.get(valence[v]) ?? [];
        list.push(cage.positions[3 * v], cage.positions[3 * v + 1], cage.positions[3 * v + 2]);
        at.set(valence[v], list);
      }
    for (const [n, flat] of at) {
      const geometry = new BufferGeometry();
      geometry.setAttribute("position", new BufferAttribute(new Float32Array(flat), 3));
      const material = new PointsMaterial({ map: disc(n), size: 17, sizeAttenuation: false, transparent: true, depthTest: false });
      const points = new Points(geometry, material);
      points.renderOrder = 18;
      points.frustumCulled = false;
      this.group.add(points);
    }
  }

  dispose(): void {
    for (const points of [...this.group.children] as Points[]) {
      points.geometry.dispose();
      (points.material as PointsMaterial).dispose();
      this.group.remove(points);
    }
  }
}
