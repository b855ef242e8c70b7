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

/** Clay, lit by a north window. */
export function clay(base: Tone, shade: Tone): CanvasTexture {
  return painted((x, y, z) => {
    const key = Math.max(0, -0.42 * x + 0.62 * y + 0.66 * z);
    const sky = 0.5 + 0.5 * y;
    const rim = (1 - z) ** 3;
    const lit = Math.min(1, key ** 0.85 * 0.92 + 0.1 * sky);
    const glow = 0.5 * key ** 18 + 0.1 * rim * sky;
    return [0, 1, 2].map((k) => {
      const tone = shade[k] + (base[k] - shade[k]) * lit;
      return tone + (250 - tone) * glow;
    }) as Tone;
  });
}
