/** Fields of cards: as the service describes a command's parameter, or a tool's own. */
import type { Context } from "../../model/context";
import type { ChoiceField, Entry, KeptField, ListField, NumberField } from "../../model/fields";
import { parameters } from "../../model/parameters.generated";

type Parameters = typeof parameters;
type FieldFor<P> = P extends { words: readonly (readonly [infer W extends string, string])[] } ? ChoiceField<W> : NumberField;
type Own<P> = Partial<Omit<FieldFor<P>, "is" | "words">>;

/** The field of a command's own parameter. `own` says what is different on this card, such as what it begins with. */
export function parameter<K extends keyof Parameters, N extends keyof Parameters[K]>(kind: K, name: N, own: Own<Parameters[K][N]> = {}): FieldFor<Parameters[K][N]> {
  const given = parameters[kind][name] as { words?: readonly (readonly [string, string])[]; initial?: number };
  const field = given.words
    ? { ...given, is: "choice", words: Object.fromEntries(given.words) }
    : { ...given, is: "number", initial: given.initial ?? 0 };
  return { ...field, ...own } as FieldFor<Parameters[K][N]>;
}

type More<F> = Partial<Omit<F, "is" | "label" | "initial">>;

export const number = (label: string, initial: number, more: More<NumberField> = {}): NumberField => ({
  is: "number", label, unit: "", initial, step: 1, ...more,
});
export const length = (label: string, initial: number, more: More<NumberField> = {}): NumberField => number(label, initial, { unit: "mm", ...more });
export const angle = (label: string, initial: number, more: More<NumberField> = {}): NumberField => number(label, initial, { unit: "°", step: 5, ...more });
export const share = (label: string, initial: number, more: More<NumberField> = {}): NumberField => number(label, initial, { unit: "%", step: 5, ...more });
export const count = (label: string, initial: number, min = 1, more: More<NumberField> = {}): NumberField =>
  number(label, initial, { min, whole: true, ...more });

/** One of some words; it begins with the first. */
export function choice<const W extends string>(label: string, words: Readonly<Record<W, string>>, more: More<ChoiceField<NoInfer<W>>> & { initial?: NoInfer<W> } = {}): ChoiceField<W> {
  return { is: "choice", label, words, initial: Object.keys(words)[0] as W, ...more };
}

/** One of what there is in the design just now. */
export const list = (label: string, entries: (context: Context) => Entry[], more: More<ListField> = {}): ListField => ({
  is: "list", label, initial: "", entries, ...more,
});

export const kept = <T>(initial: T): KeptField<T> => ({ is: "kept", initial });

/** The entry that a value means: the one of that id, or the first. */
export const entryOf = <E extends { id: string }>(entries: E[], value: string): E | undefined => entries.find((e) => e.id === value) ?? entries[0];
