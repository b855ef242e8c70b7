/** The light that forms are seen by: it stands about the eye, can be turned about the upright, and be made brighter. */

import type { Surroundings } from "../model/pictures";

export interface Light {
  /** What stands around, by which finishes and stones are seen; clay has a light of its own. */
  around: Surroundings;
  /** By how many degrees it is turned, seen from above counter-clockwise. */
  turn: number;
  /** Twice as bright for each. */
  stops: number;
}

export const asItStands: Light = { around: "tent", turn: 0, stops: 0 };

/** A direction turned back about the upright, to where it lies in the light that is not turned. */
export function turnedBack({ turn }: Light, x: number, z: number): [x: number, z: number] {
  if (!turn) return [x, z];
  const [c, s] = [Math.cos((turn * Math.PI) / 180), Math.sin((turn * Math.PI) / 180)];
  return [c * x - s * z, s * x + c * z];
}

/** A tone of the screen, 0 to 255, brighter or darker: by light, and not by its number. What is bright already bends towards white. */
export function exposed({ stops }: Light, value: number): number {
  if (!stops) return value;
  const linear = (value / 255) ** 2.2 * 2 ** stops;
  return 255 * (linear > 0.7 ? 0.7 + 0.3 * (1 - Math.exp((0.7 - linear) / 0.3)) : linear) ** (1 / 2.2);
}
