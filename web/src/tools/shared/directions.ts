/** Directions on the cards of followers: along an axis, or as typed. */
import type { ChoiceField, NumberField } from "../../model/fields";
import type { Values } from "../../model/values";
import { dot, length, times, unit, type Vec, world } from "../../model/vec";
import { choice, number } from "./fields";

const signed = { "+x": "+ x", "+y": "+ y", "+z": "+ z", "-x": "− x", "-y": "− y", "-z": "− z" } as const;
const axes = { x: "x", y: "y", z: "z" } as const;
type Signed = keyof typeof signed;
type Axis = keyof typeof axes;

const along: Record<Signed | Axis, Vec> = {
  "+x": world[0], "+y": world[1], "+z": world[2], x: world[0], y: world[1], z: world[2],
  "-x": [-1, 0, 0], "-y": [0, -1, 0], "-z": [0, 0, -1],
};

type Parts<N extends string> = `${N}_x` | `${N}_y` | `${N}_z`;
type DirectionFields<N extends string, W extends string> = Record<N, ChoiceField<W | "typed">> & Record<Parts<N>, NumberField>;
/** The values of a direction, such as they are on the card. */
export type DirectionValues<N extends string, W extends string = Signed> = Readonly<Record<N, W | "typed">> & Readonly<Record<Parts<N>, number>>;

/** A choice of one of six directions, or of three typed numbers. */
export const towards = <const N extends string>(name: N, label: string, initial: Signed, short = label): DirectionFields<N, Signed> =>
  chosenOf<N, Signed>(name, label, initial, signed, short);

/** A choice of one of three axes, or of three typed numbers. */
export const axis = <const N extends string>(name: N, label: string, initial: Axis, words: Record<Axis, string> = axes, short = label): DirectionFields<N, Axis> =>
  chosenOf<N, Axis>(name, label, initial, words, short);

function chosenOf<N extends string, W extends string>(name: N, label: string, initial: W, words: Record<W, string>, short: string): DirectionFields<N, W> {
  const part = (k: string) => number(`${short} ${k}`, k === "z" ? 1 : 0, { step: 0.1, narrow: true });
  const given = choice(label, { ...words, typed: "as typed" }, { initial });
  // The three numbers stand beside one another.
  return { [name]: given, [`${name}_x`]: part("x"), [`${name}_y`]: part("y"), [`${name}_z`]: part("z") } as DirectionFields<N, W>;
}

/** The three numbers are shown while they are typed ones. */
export function typedShown<const N extends string>(name: N, when: (v: Values) => boolean = () => true) {
  const typed = (v: Values) => v[name] === "typed" && when(v);
  return { [name]: when, [`${name}_x`]: typed, [`${name}_y`]: typed, [`${name}_z`]: typed } as Record<N | Parts<N>, (v: Values) => boolean>;
}

/** The unit vector that is chosen; null for three typed noughts. */
export function directionOf<const N extends string>(values: DirectionValues<N, string>, name: N): Vec | null {
  const v = values as Record<string, unknown>;
  const chosen = v[name] as Signed | Axis | "typed";
  if (chosen !== "typed") return along[chosen];
  const typed = ["x", "y", "z"].map((k) => v[`${name}_${k}`]) as Vec;
  return length(typed) > 1e-9 ? unit(typed) : null;
}

function valuesOf<N extends string, W extends Signed | Axis>(name: N, given: Vec, among: W[]): Partial<DirectionValues<N, W>> {
  const direction = unit(given);
  const found = among.find((word) => dot(along[word], direction) > 1 - 1e-12);
  const [x, y, z] = direction.map((u) => +u.toFixed(6));
  return (found ? { [name]: found } : { [name]: "typed", [`${name}_x`]: x, [`${name}_y`]: y, [`${name}_z`]: z }) as Partial<DirectionValues<N, W>>;
}

export const towardsValues = <const N extends string>(name: N, given: number[]): Partial<DirectionValues<N, Signed>> =>
  valuesOf(name, given as Vec, Object.keys(signed) as Signed[]);

/** An axis has no sense of its own: the other way round is the same. */
export function axisValues<const N extends string>(name: N, given: number[]): Partial<DirectionValues<N, Axis>> {
  const first = given.find((x) => Math.abs(x) > 1e-12) ?? 1;
  return valuesOf(name, (first < 0 ? given.map((x) => 0 - x) : given) as Vec, Object.keys(axes) as Axis[]);
}

/** The foot of the origin on a plane square to a direction: along an axis, `at` is the coordinate there. */
export function footAt(direction: Vec, at: number): Vec {
  const whole = Math.abs(direction[0] + direction[1] + direction[2]);
  // For the directions against an axis the number typed is the coordinate all the same.
  const turn = direction.some((x) => x === -1) && whole === 1 ? -1 : 1;
  return times(direction, turn * at);
}

export const atOf = (direction: Vec, point: number[]): number => +dot(footAt(direction, 1), point as Vec).toFixed(6);
