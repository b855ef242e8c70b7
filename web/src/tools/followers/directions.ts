/** Directions on the cards of followers: along an axis, or as typed. */
import type { Vec } from "../../live/look";
import type { Field, Values } from "../tool";

const signed = ["+ x", "+ y", "+ z", "− x", "− y", "− z"];
const along: Vec[] = [[1, 0, 0], [0, 1, 0], [0, 0, 1], [-1, 0, 0], [0, -1, 0], [0, 0, -1]];

type When = Field["when"];

/** A choice of one of six directions, or of three typed numbers. */
export const towards = (name: string, label: string, initial: number, when?: When): Field[] => choice(name, label, initial, signed, when);

/** A choice of one of three axes, or of three typed numbers. */
export const axis = (name: string, label: string, initial: number, words = ["x", "y", "z"]): Field[] => choice(name, label, initial, words);

function choice(name: string, label: string, initial: number, words: string[], when?: When): Field[] {
  // The three numbers stand beside one another: "Cut off towards" would leave no room for them.
  const short = label.replace(/^Cut off t/, "T").replace(/^Open towards/, "Open").replace(/^Plane$/, "Normal");
  const typed: When = (v) => v[name] === words.length && (when?.(v) ?? true);
  return [
    { name, label, unit: "", initial, step: 1, options: [...words, "as typed"], when },
    ...["x", "y", "z"].map((k): Field => ({ name: `${name}_${k}`, label: `${short} ${k}`, unit: "", initial: k === "z" ? 1 : 0, step: 0.1, narrow: true, when: typed })),
  ];
}

/** The unit vector that is chosen, of ``count`` choices; null for three typed noughts. */
function chosen(v: Values, name: string, count: number): Vec | null {
  if (v[name] < count) return along[v[name]];
  const typed = ["x", "y", "z"].map((k) => v[`${name}_${k}`]);
  const length = Math.hypot(...typed);
  return length > 1e-9 ? (typed.map((x) => x / length) as Vec) : null;
}

export const towardsOf = (v: Values, name: string): Vec | null => chosen(v, name, 6);
export const axisOf = (v: Values, name: string): Vec | null => chosen(v, name, 3);

const valuesOf = (name: string, given: number[], count: number): Values => {
  const length = Math.hypot(...given) || 1;
  const unit = given.map((x) => x / length);
  const found = along.slice(0, count).findIndex((d) => d[0] * unit[0] + d[1] * unit[1] + d[2] * unit[2] > 1 - 1e-12);
  const [x, y, z] = unit.map((u) => +u.toFixed(6));
  return found >= 0 ? { [name]: found } : { [name]: count, [`${name}_x`]: x, [`${name}_y`]: y, [`${name}_z`]: z };
};

export const towardsValues = (name: string, given: number[]): Values => valuesOf(name, given, 6);
/** An axis has no sense of its own: the other way round is the same. */
export const axisValues = (name: string, given: number[]): Values => {
  const first = given.find((x) => Math.abs(x) > 1e-12) ?? 1;
  return valuesOf(name, first < 0 ? given.map((x) => 0 - x) : given, 3);
};

export const dot = (a: number[], b: number[]): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];

/** The foot of the origin on a plane square to a direction: along an axis, `at` is the coordinate there. */
export const footAt = (direction: Vec, at: number): Vec => {
  const whole = Math.abs(direction[0] + direction[1] + direction[2]);
  // For the directions against an axis the number typed is the coordinate all the same.
  const turn = direction.some((x) => x === -1) && whole === 1 ? -1 : 1;
  return direction.map((x) => turn * x * at) as Vec;
};

export const atOf = (direction: number[], point: number[]): number => {
  const [foot] = [footAt(direction as Vec, 1)];
  return +dot(foot, point).toFixed(6);
};
