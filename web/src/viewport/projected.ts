/** Where the vertices of a piece lie on the screen: looked up with every move of the pointer, computed when the view or the form moves. */
import { type Matrix4, Vector3 } from "three";
import type { PieceView } from "./pieceView";
import type { Screen } from "./screen";

interface Held {
  version: number;
  from: ArrayLike<number>;
  matrix: Matrix4;
  width: number;
  height: number;
  points: Float64Array;
}

const held = new WeakMap<PieceView, Held>();
const point = new Vector3();

/** Of each vertex x and y in pixels from the upper left corner, and its depth (3 n). */
export function projected(view: PieceView, toScreen: Matrix4, { width, height }: Screen): Float64Array {
  // Where only the surface is shown, a control point is found where it pulls the surface: its limit position.
  const from = view.display === "surface" ? view.arrays.surface.positions : view.arrays.cage.positions;
  const known = held.get(view);
  if (known?.version === view.version && known.from === from && known.width === width && known.height === height && known.matrix.equals(toScreen))
    return known.points;
  const points = new Float64Array(view.arrays.cage.positions.length);
  for (let i = 0; i < points.length; i += 3) {
    point.set(from[i], from[i + 1], from[i + 2]).applyMatrix4(toScreen);
    points[i] = ((point.x + 1) / 2) * width;
    points[i + 1] = ((1 - point.y) / 2) * height;
    points[i + 2] = point.z;
  }
  held.set(view, { version: view.version, from, matrix: toScreen.clone(), width, height, points });
  return points;
}
