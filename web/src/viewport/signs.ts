/** Signs at places in space, of a size on the screen that stays, always facing the eye: a form with words on it. */
import { BufferAttribute, BufferGeometry, CanvasTexture, Group, Points, PointsMaterial, SRGBColorSpace } from "three";
import { colours } from "../theme/colours";
import { squareCanvas } from "./canvas";

const textures = new Map<string, CanvasTexture>();

export interface Sign {
  words: string;
  /** How wide its square is in pixels, and drawn with how many. */
  size: number;
  grain: number;
  font: number;
  fill?: string;
  /** Without an outline where it has none. */
  line?: string;
  ink?: string;
  /** The outline, in a square of `grain`. */
  path(pen: CanvasRenderingContext2D): void;
}

function drawn(sign: Sign): CanvasTexture {
  const key = [sign.words, sign.grain, sign.font, sign.fill, String(sign.path)].join();
  const held = textures.get(key);
  if (held) return held;
  const { canvas, pen } = squareCanvas(sign.grain);
  pen.fillStyle = sign.fill ?? "#FFF6DC";
  pen.beginPath();
  sign.path(pen);
  pen.fill();
  if (sign.line) {
    pen.strokeStyle = sign.line;
    pen.lineWidth = 5;
    pen.stroke();
  }
  pen.fillStyle = sign.ink ?? colours.ink;
  pen.font = `bold ${sign.font}px sans-serif`;
  pen.textAlign = "center";
  pen.textBaseline = "middle";
  pen.fillText(sign.words, sign.grain / 2, 0.52 * sign.grain, 0.9 * sign.grain);
  const texture = new CanvasTexture(canvas);
  texture.colorSpace = SRGBColorSpace;
  textures.set(key, texture);
  return texture;
}

export class Signs {
  readonly group = new Group();

  /** Put a sign at one place or at several: flat coordinates in mm. */
  put(sign: Sign, places: ArrayLike<number>, order: number): Points {
    const geometry = new BufferGeometry();
    geometry.setAttribute("position", new BufferAttribute(Float32Array.from(places), 3));
    const material = new PointsMaterial({ map: drawn(sign), size: sign.size, sizeAttenuation: false, transparent: true, depthTest: false });
    const points = new Points(geometry, material);
    points.renderOrder = order;
    points.frustumCulled = false;
    this.group.add(points);
    return points;
  }

  clear(): void {
    for (const points of [...this.group.children] as Points[]) {
      points.geometry.dispose();
      (points.material as PointsMaterial).dispose();
      this.group.remove(points);
    }
  }
}
