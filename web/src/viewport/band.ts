/** The box that is drawn to pick many. */

/** Left to right takes what is wholly inside (a whole line), right to left what it touches (a dashed line). */
export function drawBand(style: CSSStyleDeclaration, x0: number, y0: number, x1: number, y1: number): void {
  Object.assign(style, {
    display: "block",
    left: `${Math.min(x0, x1)}px`,
    top: `${Math.min(y0, y1)}px`,
    width: `${Math.abs(x1 - x0)}px`,
    height: `${Math.abs(y1 - y0)}px`,
    borderStyle: x1 < x0 ? "dashed" : "solid",
  });
}
