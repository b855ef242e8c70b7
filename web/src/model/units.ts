/** Lengths are kept in mm; a design shows them in its own unit. */
export type Unit = "mm" | "cm" | "in";

export const units: readonly Unit[] = ["mm", "cm", "in"];
export const unitNames: Record<Unit, string> = { mm: "millimetres", cm: "centimetres", in: "inches" };

const perUnit: Record<Unit, number> = { mm: 1, cm: 10, in: 25.4 };
const decimals: Record<Unit, number> = { mm: 2, cm: 3, in: 3 };

export const toUnit = (mm: number, unit: Unit): number => mm / perUnit[unit];
export const fromUnit = (value: number, unit: Unit): number => value * perUnit[unit];

/** The round step of a unit (1, 2 or 5 of a decimal place) that is nearest to so many mm; in mm. */
export function roundStep(mm: number, unit: Unit): number {
  const value = toUnit(mm, unit);
  const place = 10 ** Math.floor(Math.log10(value));
  const off = (round: number) => Math.abs(Math.log(value / (round * place)));
  const nearest = [1, 2, 5, 10].reduce((best, round) => (off(round) < off(best) ? round : best));
  return fromUnit(nearest * place, unit);
}

/** A length for reading: in the unit, with no digits that nobody can see. */
export function lengthWords(mm: number, unit: Unit): string {
  return `${trimmed(toUnit(mm, unit), decimals[unit])} ${unit}`;
}

/** With two digits that count where it is less than the unit's last decimal would tell. */
export function fineLengthWords(mm: number, unit: Unit): string {
  const value = toUnit(mm, unit);
  const digits = value === 0 ? 0 : Math.max(decimals[unit], 1 - Math.floor(Math.log10(Math.abs(value))));
  return `${trimmed(value, Math.min(digits, 8))} ${unit}`;
}

export function lengthsWords(mm: ArrayLike<number>, unit: Unit, between = " × "): string {
  return `${Array.from(mm, (x) => trimmed(toUnit(x, unit), decimals[unit])).join(between)} ${unit}`;
}

export function areaWords(mm2: number, unit: Unit): string {
  const factor = perUnit[unit] ** 2;
  return `${trimmed(mm2 / factor, decimals[unit])} ${unit}²`;
}

/** With seven digits that count, or as many as asked for. */
export function volumeWords(mm3: number, unit: Unit, digits = 7): string {
  return `${figures(mm3 / perUnit[unit] ** 3, digits)} ${unit}³`;
}

/** Of material, as it is bought: in cm³, or in³ where lengths are in inches. */
export const bulkWords = (mm3: number, unit: Unit): string => volumeWords(mm3, unit === "in" ? "in" : "cm", 2);

/** So many digits that count and never an exponent; below a millionth it is rounding. */
export const figures = (value: number, digits: number): string =>
  Math.abs(value) < 1e-6 ? "0" : value.toLocaleString("en-GB", { maximumSignificantDigits: digits });

export function trimmed(value: number, digits: number): string {
  const text = (Number(value.toFixed(digits)) + 0).toFixed(digits);
  return text.includes(".") ? text.replace(/\.?0+$/, "") : text;
}
