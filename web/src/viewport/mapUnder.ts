/** What a map says at a place on the screen. */
import { Triangle, Vector3 } from "three";
import { useMap } from "../live/stores/map";
import type { Scene } from "./scene";

/** The value where the pointer meets the form that the map lies on; null beside it, and where something stands in front. */
export function mapUnder(scene: Scene, x: number, y: number): number | null {
  const { map } = useMap.getState();
  const view = map && scene.view(map.piece);
  const quads = view?.arrays.surface.quads;
  if (!map || !view?.hasFaces || !quads || map.rows.length !== view.arrays.surface.positions.length / 3) return null;
  const met = scene.picker(false).onSurface(view, x, y);
  if (!met) return null;
  const corners = trianglesOf(quads, met.triangle);
  const [a, b, c] = corners.map((row) => new Vector3().fromArray(view.arrays.surface.positions, 3 * row));
  const shares = Triangle.getBarycoord(met.point, a, b, c, new Vector3());
  if (!shares) return null;
  return shares.x * map.rows[corners[0]] + shares.y * map.rows[corners[1]] + shares.z * map.rows[corners[2]];
}

/** The rows of a triangle, as quadTriangles() parts quads. */
function trianglesOf(quads: Int32Array, triangle: number): [number, number, number] {
  const at = 4 * (triangle >> 1);
  return triangle & 1 ? [quads[at], quads[at + 2], quads[at + 3]] : [quads[at], quads[at + 1], quads[at + 2]];
}
