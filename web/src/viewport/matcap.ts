/** Matcaps drawn here instead of fetched: a picture of a lit ball, by which every normal finds its tone. */
import { CanvasTexture, SRGBColorSpace } from "three";
import { squareCanvas } from "./canvas";
import { type Light, turnedBack } from "./light";

type Tone = [number, number, number];

/** The tone of a lit ball by its normal: x to the right, y up, z to the eye. */
export type Painter = (x: number, y: number, z: number) => Tone;

/** A texture for a ball, still to be painted. */
export function ball(size = 256): CanvasTexture {
  const texture = new CanvasTexture(squareCanvas(size).canvas);
  texture.colorSpace = SRGBColorSpace;
  return texture;
}

/** Paint a ball, or paint it anew: whatever is drawn with it is seen so from the next frame on. */
export function paint(texture: CanvasTexture, tone: Painter): void {
  const canvas = texture.image;
  const size = canvas.width;
  const pen = canvas.getContext("2d");
  if (!pen) return;
  const image = pen.createImageData(size, size);
  for (let py = 0; py < size; py++)
    for (let px = 0; px < size; px++) {
      const x = (2 * (px + 0.5)) / size - 1;
      const y = 1 - (2 * (py + 0.5)) / size;
      const r = Math.min(Math.hypot(x, y), 0.999);
      const scale = Math.hypot(x, y) > r ? r / Math.hypot(x, y) : 1;
      const at = 4 * (py * size + px);
      tone(x * scale, y * scale, Math.sqrt(1 - r * r)).forEach((value, k) => (image.data[at + k] = Math.min(255, value)));
      image.data[at + 3] = 255;
    }
  pen.putImageData(image, 0, 0);
  texture.needsUpdate = true;
}

const part = (value: number): number => Math.min(1, Math.max(0, value));

/** Clay by a wide north window: light that wraps far round, cool light from below into the shade, and a thin bright rim. */
export function clay(base: Tone, shade: Tone, light: Light): Painter {
  return (x, y, z) => {
    const [a, c] = turnedBack(light, x, z);
    const facing = -0.42 * a + 0.62 * y + 0.66 * c;
    const key = part((facing + 0.36) / 1.36) ** 1.3;
    const below = part(0.5 * a - 0.68 * y + 0.42 * c);
    const rim = (1 - z) ** 4 * part(0.35 + 0.65 * y);
    const glow = 0.4 * part(facing) ** 22 + 0.3 * rim;
    return [0, 1, 2].map((k) => {
      const dark = shade[k] + 0.24 * (base[k] - shade[k]);
      const lit = dark + (base[k] * 1.04 - dark) * key;
      const filled = lit + below * 0.18 * (cool[k] - lit);
      return filled + (252 - filled) * glow;
    }) as Tone;
  };
}

/** What comes up from the river. */
const cool: Tone = [176, 196, 204];
