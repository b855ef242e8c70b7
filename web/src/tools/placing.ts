/** What the tools that place things share: their own axes, and the pivot. */
import type { Frame, Vec } from "../live/look";
import type { Placing } from "./tool";

const world: Frame = [
  [1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
];

export const axesOf = (placing: Placing): Frame => placing.frame ?? world;

/** A vector in space from its parts along the axes. */
export function alongAxes(parts: Vec, placing: Placing): Vec {
  const frame = axesOf(placing);
  return [0, 1, 2].map((k) => frame[0][k] * parts[0] + frame[1][k] * parts[1] + frame[2][k] * parts[2]) as Vec;
}

/** The parts of a vector along the axes. */
export function onAxes(vector: Vec, placing: Placing): Vec {
  return axesOf(placing).map((axis) => axis[0] * vector[0] + axis[1] * vector[1] + axis[2] * vector[2]) as Vec;
}

/** What a command takes of the reach: nothing where nothing is carried. */
export const reaching = (placing: Placing) => (placing.reach ? { reach: placing.reach } : {});
