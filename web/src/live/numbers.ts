/** Numbers as people write them. Plain ones are read here; expressions with units are read by the service. */
import type { NumberField } from "../model/fields";
import { Refused, service } from "./service";
import { fromUnit, type Unit } from "../model/units";

export type Asked = "length" | "angle" | "share" | "number";

const plain = /^\s*[-+−]?(\d+([.,]\d*)?|[.,]\d+)\s*$/;
/** What may be thousands as well as decimals: the service says so, or which it is. */
const grouped = /,\d{3}\s*$/;
const underWay = new Set<Promise<unknown>>();

/** The value in mm, degrees, per cent or plain, or the sentence that says what is wrong with the text. */
export function readNumber(text: string, asked: Asked, unit: Unit): number | string | Promise<number | string> {
  if (!text.trim()) return "a number is needed";
  if (plain.test(text) && !grouped.test(text)) {
    const value = Number(text.trim().replace(",", ".").replace("−", "-"));
    return asked === "length" ? fromUnit(value, unit) : value;
  }
  const asking = service
    .number(text, asked, unit)
    .then(({ value }) => value)
    .catch((error: unknown) => (error instanceof Refused ? error.problem.detail : String(error)))
    .finally(() => underWay.delete(asking));
  underWay.add(asking);
  return asking;
}

/** Wait until no number is being read any more. */
export async function numbersRead(): Promise<void> {
  while (underWay.size) await Promise.all(underWay);
  // What was read reaches the fields with the next turn of the page.
  await new Promise((done) => setTimeout(done));
}

/** What is meant for the numbers on a card, once those that were typed have been read: at once where none is being read. */
export function onceRead(act: () => void): void {
  if (underWay.size) void numbersRead().then(act);
  else act();
}

export const askedFor = (unit: NumberField["unit"]): Asked =>
  unit === "mm" ? "length" : unit === "°" ? "angle" : unit === "%" ? "share" : "number";

/** The value of what is typed while something is dragged, or null while it is no number yet. */
export async function readTyped(text: string, unit: NumberField["unit"], design: Unit): Promise<number | null> {
  const value = await readNumber(text, askedFor(unit), design);
  return typeof value === "number" && Number.isFinite(value) ? value : null;
}
