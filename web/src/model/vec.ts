/** Points and directions in space as three numbers, and what is done with them. */
export type Vec = [number, number, number];
/** Three directions, each of length one and square to the others. */
export type Frame = [Vec, Vec, Vec];

export const world: Frame = [
  [1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
];

export const plus = (a: Vec, b: Vec, by = 1): Vec => [a[0] + by * b[0], a[1] + by * b[1], a[2] + by * b[2]];
export const minus = (a: Vec, b: Vec): Vec => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
export const times = (a: Vec, by: number): Vec => [a[0] * by, a[1] * by, a[2] * by];
export const dot = (a: Vec, b: Vec): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
export const cross = (a: Vec, b: Vec): Vec => [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]];
export const length = (a: Vec): number => Math.hypot(...a);
export const apart = (a: Vec, b: Vec): number => length(minus(a, b));
export const mix = (a: Vec, b: Vec, share: number): Vec => plus(a, minus(b, a), share);

/** Of length one; nought stays nought. */
export const unit = (a: Vec): Vec => times(a, 1 / (length(a) || 1));

/** What is left of a vector in the plane square to a direction of length one. */
export const across = (a: Vec, direction: Vec): Vec => plus(a, direction, -dot(a, direction));

/** Between two directions, in degrees. */
export function degreesBetween(a: Vec, b: Vec): number {
  const cosine = dot(a, b) / (length(a) * length(b) || 1);
  return (Math.acos(Math.max(-1, Math.min(1, cosine))) * 180) / Math.PI;
}

/** The direction of one of the world's axes. */
export const axisVec = (axis: number): Vec => [...world[axis]];

/** The point of a list of coordinates that lies at an index. */
export const pointAt = (positions: ArrayLike<number>, i: number): Vec => [positions[3 * i], positions[3 * i + 1], positions[3 * i + 2]];

/** How far a point lies from a segment, and at which share of it the nearest point is. */
export function toSegment(p: Vec, a: Vec, b: Vec): { distance: number; along: number } {
  const way = minus(b, a);
  const along = Math.min(1, Math.max(0, dot(minus(p, a), way) / (dot(way, way) || 1)));
  return { distance: apart(p, plus(a, way, along)), along };
}

/** The smallest upright box around points. */
export interface Box {
  low: Vec;
  high: Vec;
}

export function boxAround(points: Iterable<Vec>): Box | null {
  let box: Box | null = null;
  for (const p of points) {
    box ??= { low: [...p], high: [...p] };
    for (let k = 0; k < 3; k++) {
      box.low[k] = Math.min(box.low[k], p[k]);
      box.high[k] = Math.max(box.high[k], p[k]);
    }
  }
  return box;
}

export const middleOfBox = ({ low, high }: Box): Vec => mix(low, high, 0.5);

/** Whether a point on the screen lies within a closed line there, by counting the sides that it sees to its right. */
export function withinLine(x: number, y: number, line: [number, number][]): boolean {
  let inside = false;
  for (let i = 0, j = line.length - 1; i < line.length; j = i++) {
    const [[ax, ay], [bx, by]] = [line[i], line[j]];
    if (ay > y !== by > y && x < ax + ((y - ay) / (by - ay)) * (bx - ax)) inside = !inside;
  }
  return inside;
}
