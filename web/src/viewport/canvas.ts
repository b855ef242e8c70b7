/** A square canvas to paint a texture on. */
export function squareCanvas(size: number): { canvas: HTMLCanvasElement; pen: CanvasRenderingContext2D } {
  const canvas = document.createElement("canvas");
  canvas.width = canvas.height = size;
  const pen = canvas.getContext("2d");
  if (!pen) throw new Error("This browser cannot paint pictures.");
  return { canvas, pen };
}
