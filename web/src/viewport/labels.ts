/** Words at places in space, on small plates that always face the eye. */
import { BufferAttribute, BufferGeometry, CanvasTexture, Group, Points, PointsMaterial, SRGBColorSpace } from "three";
import type { Vec } from "../live/look";
import { colours } from "../theme/colours";

const textures = new Map<string, CanvasTexture>();

function plate(words: string): CanvasTexture {
  const held = textures.get(words);
  if (held) return held;
  const canvas = document.createElement("canvas");
  canvas.width = canvas.height = 160;
  const pen = canvas.getContext("2d")!;
  pen.fillStyle = "#FFF6DC";
  pen.strokeStyle = colours.crease;
  pen.lineWidth = 5;
  pen.beginPath();
  pen.roundRect(5, 52, 150, 56, 24);
  pen.fill();
  pen.stroke();
  pen.fillStyle = colours.ink;
  pen.font = "bold 31px sans-serif";
  pen.textAlign = "center";
  pen.textBaseline = "middle";
  pen.fillText(words, 80, 81, 140);
  const texture = new CanvasTexture(canvas);
  texture.colorSpace = SRGBColorSpace;
  textures.set(words, texture);
  return texture;
}

export class Labels {
  readonly group = new Group();

  show(labels: { at: Vec; words: string }[]): void {
    this.dispose();
    for (const { at, words } of labels) {
      const geometry = new BufferGeometry();
      geometry.setAttribute("position", new BufferAttribute(new Float32Array(at), 3));
      const points = new Points(geometry, new PointsMaterial({ map: plate(words), size: 64, sizeAttenuation: false, transparent: true, depthTest: false }));
      points.renderOrder = 40;
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
