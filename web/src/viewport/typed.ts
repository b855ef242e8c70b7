/** A number typed while something is dragged: exact, with units, as in the fields. */
import { type Asked, readNumber } from "../live/numbers";
import type { Unit } from "../live/units";
import type { Field } from "../tools/tool";

export const askedFor = (unit: Field["unit"]): Asked =>
  unit === "mm" ? "length" : unit === "°" ? "angle" : unit === "%" ? "share" : "number";

/** The value, or null while what is typed is no number yet. */
export async function readTyped(text: string, unit: Field["unit"], design: Unit): Promise<number | null> {
  const value = await readNumber(text, askedFor(unit), design);
  return typeof value === "number" && Number.isFinite(value) ? value : null;
}
