/** Clay, lit by a north window: a matcap drawn here instead of fetched. */
import { CanvasTexture, SRGBColorSpace } from "three";

export function clay(base: [number, number, number], shade: [number, number, number]): CanvasTexture {
  const size = 256;
  const canvas = document.createElement("canvas");
  canvas.width = canvas.height = size;
  const context = canvas.getContext("2d")!;
  const image = context.createImageData(size, size);
  for (let py = 0; py < size; py++)
    for (let px = 0; px < size; px++) {
      const x = (2 * (px + 0.5)) / size - 1;
      const y = 1 - (2 * (py + 0.5)) / size;
      const r = Math.min(Math.hypot(x, y), 0.999);
      const scale = Math.hypot(x, y) > r ? r / Math.hypot(x, y) : 1;
      const z = Math.sqrt(1 - r * r);
      const key = Math.max(0, -0.42 * x * scale + 0.62 * y * scale + 0.66 * z);
      const sky = 0.5 + 0.5 * y * scale;
      const rim = (1 - z) ** 3;
      const lit = Math.min(1, key ** 0.85 * 0.92 + 0.1 * sky);
      const glow = 0.5 * key ** 18 + 0.1 * rim * sky;
      const at = 4 * (py * size + px);
      for (let k = 0; k < 3; k++) {
        const tone = shade[k] + (base[k] - shade[k]) * lit;
        image.data[at + k] = Math.min(255, tone + (250 - tone) * glow);
      }
      image.data[at + 3] = 255;
    }
  context.putImageData(image, 0, 0);
  const texture = new CanvasTexture(canvas);
  texture.colorSpace = SRGBColorSpace;
  return texture;
}
