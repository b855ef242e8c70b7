/** What the tools that place things share: their own axes, and the pivot. */
import type { Context, Placing } from "../../model/context";
import type { Grip } from "../../model/tool";
import { axisVec, dot, type Frame, plus, times, type Vec, world } from "../../model/vec";

export const axesOf = (placing: Placing): Frame => placing.frame ?? world;

/** A vector in space from its parts along the axes. */
export function alongAxes([x, y, z]: Vec, placing: Placing): Vec {
  const frame = axesOf(placing);
  return plus(plus(times(frame[0], x), frame[1], y), frame[2], z);
}

/** The parts of a vector along the axes. */
export const onAxes = (vector: Vec, placing: Placing): Vec => axesOf(placing).map((axis) => dot(axis, vector)) as Vec;

/** What a command takes of the reach: nothing where nothing is carried. */
export const reaching = ({ placing }: Context) => (placing.reach ? { reach: placing.reach } : {});

/** A point so far along one of the axes, from the pivot where one is set. */
export const pointAlong = (axis: Vec, at: number, placing: Placing): Vec => plus(placing.pivot ?? [0, 0, 0], axis, at);

export const grip = <const N extends string>(field: N, at: Vec, along: Vec, gain = 1): Grip<N> => ({ kind: "grip", field, at, along, gain });

/** Three beads by which a point is moved along the world's axes. */
export const pointGrips = <const N extends string>(fields: readonly [N, N, N], at: Vec): Grip<N>[] =>
  fields.map((field, k) => grip(field, at, axisVec(k)));
