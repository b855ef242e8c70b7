/** A place along a dense line, by its share of the length. */
import { apart, axisVec, cross, length as lengthOf, minus, plus, pointAt, times, unit, type Vec } from "./vec";

export interface Place {
  point: Vec;
  along: Vec;
  /** Square to the line. */
  side: Vec;
  length: number;
}

export function placeAlong(points: ArrayLike<number>, share: number): Place | null {
  const at = (k: number): Vec => pointAt(points, k);
  const legs = points.length / 3 - 1;
  if (legs < 1) return null;
  let length = 0;
  for (let k = 0; k < legs; k++) length += apart(at(k), at(k + 1));
  let left = Math.min(Math.max(share, 0), 1) * length;
  let k = 0;
  while (k < legs - 1 && left > apart(at(k), at(k + 1))) left -= apart(at(k), at(++k));
  const way = minus(at(k + 1), at(k));
  const along = unit(way);
  const least = along.map(Math.abs).indexOf(Math.min(...along.map(Math.abs)));
  return { point: plus(at(k), times(along, Math.min(left, lengthOf(way)))), along, side: unit(cross(along, axisVec(least))), length };
}
