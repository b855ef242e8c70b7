/** What can be set on a tool's card, and the type of the values that follows from it. */
import type { Context } from "./context";
import { toUnit, trimmed, type Unit } from "./units";
import type { Values } from "./values";

interface Common {
  label: string;
  /** What it does, where the label alone does not tell. */
  help?: string;
  /** Keep the value after it was applied, so that the same can be done again. */
  keep?: boolean;
  /** One of three that stand beside one another, such as the parts of a direction. */
  narrow?: boolean;
  /** Shown behind "More" only: seldom needed. */
  more?: boolean;
}

export interface NumberField extends Common {
  is: "number";
  /** "mm" is a length, shown in the design's unit; "°" an angle, "%" a share, "" a plain number. */
  unit: "mm" | "°" | "%" | "";
  initial: number;
  step: number;
  min?: number;
  max?: number;
  /** As "min" and "max", but not the bound itself. */
  above?: number;
  below?: number;
  whole?: boolean;
  slider?: boolean;
}

/** One of some words. */
export interface ChoiceField<W extends string = string> extends Common {
  is: "choice";
  initial: W;
  words: Readonly<Record<W, string>>;
}

export interface Entry {
  id: string;
  words: string;
}

/** One of what there is in the design just now; the value is its id, and "" the first. */
export interface ListField extends Common {
  is: "list";
  initial: string;
  entries(context: Context): Entry[];
}

/** What belongs to the values without being shown on the card. */
export interface KeptField<T = unknown> {
  is: "kept";
  initial: T;
  keep?: boolean;
}

export type ShownField = NumberField | ChoiceField | ListField;
export type Field = ShownField | KeptField;
export type Fields = Readonly<Record<string, Field>>;

export type ValueOf<F> = F extends NumberField
  ? number
  : F extends ChoiceField<infer W>
    ? W
    : F extends ListField
      ? string
      : F extends KeptField<infer T>
        ? T
        : never;

/** The values of some fields: what is misspelt, or no choice, does not compile. */
export type ValuesOf<F extends Fields> = { readonly [K in keyof F]: ValueOf<F[K]> };
export type NameOf<F extends Fields> = keyof F & string;

export const initialValues = (fields: Fields): Values =>
  Object.fromEntries(Object.entries(fields).map(([name, field]) => [name, field.initial]));

/** As after a step: what is to be kept stays, the rest begins anew. */
export const settledValues = (fields: Fields, values: Values): Values =>
  Object.fromEntries(Object.entries(fields).map(([name, field]) => [name, field.keep ? (values[name] ?? field.initial) : field.initial]));

/** Round numbers to what a pixel can tell: no drag means 12.3048771 mm. */
export function roundedTo<V extends object>(values: V, pixel: number): V {
  const digits = Math.max(0, Math.min(4, Math.ceil(-Math.log10(pixel))));
  const round = (value: unknown) => (typeof value === "number" ? Number(value.toFixed(digits)) + 0 : value);
  return Object.fromEntries(Object.entries(values).map(([name, value]) => [name, round(value)])) as V;
}

/** What is wrong with a value, in words, or null. */
export function whatIsWrong(field: NumberField, value: number, unit: Unit): string | null {
  const words = (limit: number) => (field.unit === "mm" ? `${trimmed(toUnit(limit, unit), 4)} ${unit}` : String(limit));
  if (!Number.isFinite(value)) return "not a number";
  if (field.whole && !Number.isInteger(value)) return "whole numbers only";
  if (field.min !== undefined && value < field.min) return `at least ${words(field.min)}`;
  if (field.above !== undefined && value <= field.above) return `more than ${words(field.above)}`;
  if (field.max !== undefined && value > field.max) return `at most ${words(field.max)}`;
  if (field.below !== undefined && value >= field.below) return `less than ${words(field.below)}`;
  return null;
}
