/** What a map says at a place on the screen. */
import { Triangle, Vector3 } from "three";
import { useMap } from "../live/stores/map";
import type { Scene } from "./scene";
import { cornersOf } from "./triangles";

/** The value where the pointer meets the form that the map lies on; null beside it, and where something stands in front. */
export function mapUnder(scene: Scene, x: number, y: number): number | null {
  const { map } = useMap.getState();
  if (map?.body) {
    const picker = scene.picker(false);
    return scene.bodyMap.valueAt(picker.sight, picker.ray(x, y));
  }
  const view = map && scene.view(map.piece);
  const quads = view?.arrays.surface.quads;
  if (!map || !view?.hasFaces || !quads || map.rows.length !== view.arrays.surface.positions.length / 3) return null;
  const met = scene.picker(false).onSurface(view, x, y);
  if (!met) return null;
  const corners = cornersOf(quads, met.triangle);
  const [a, b, c] = corners.map((row) => new Vector3().fromArray(view.arrays.surface.positions, 3 * row));
  const shares = Triangle.getBarycoord(met.point, a, b, c, new Vector3());
  if (!shares) return null;
  return shares.x * map.rows[corners[0]] + shares.y * map.rows[corners[1]] + shares.z * map.rows[corners[2]];
}
