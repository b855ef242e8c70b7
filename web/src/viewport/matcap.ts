/** Matcaps drawn here instead of fetched: a picture of a lit ball, by which every normal finds its tone. */
import { CanvasTexture, SRGBColorSpace } from "three";
import { squareCanvas } from "./canvas";

type Tone = [number, number, number];

/** A ball painted by its normal: x to the right, y up, z to the eye. */
export function painted(tone: (x: number, y: number, z: number) => Tone, size = 256): CanvasTexture {
  const { canvas, pen } = squareCanvas(size);
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
  const texture = new CanvasTexture(canvas);
  texture.colorSpace = SRGBColorSpace;
  return texture;
}

const part = (value: number): number => Math.min(1, Math.max(0, value));

/** Clay by a wide north window: light that wraps far round, cool light from below into the shade, and a thin bright rim. */
export function clay(base: Tone, shade: Tone): CanvasTexture {
  return painted((x, y, z) => {
    const facing = -0.42 * x + 0.62 * y + 0.66 * z;
    const key = part((facing + 0.36) / 1.36) ** 1.3;
    const below = part(0.5 * x - 0.68 * y + 0.42 * z);
    const rim = (1 - z) ** 4 * part(0.35 + 0.65 * y);
    const glow = 0.4 * part(facing) ** 22 + 0.3 * rim;
    return [0, 1, 2].map((k) => {
      const dark = shade[k] + 0.24 * (base[k] - shade[k]);
      const lit = dark + (base[k] * 1.04 - dark) * key;
      const filled = lit + below * 0.18 * (cool[k] - lit);
      return filled + (252 - filled) * glow;
    }) as Tone;
  });
}

/** What comes up from the river. */
const cool: Tone = [176, 196, 204];
