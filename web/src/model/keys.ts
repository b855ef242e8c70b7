/** Keys: what they do, where, and when it holds. Handlers and the sheet of keys read the same rows. */
export type Section = "Pick" | "Tools" | "Change" | "View";
/** Anywhere but in a field; on the form; while something is dragged; while points are set. The later ones come first. */
export type Where = "anywhere" | "form" | "drag" | "points";
export type Holds = "always" | "picked" | "nothing picked" | "comparing";

export interface KeyRow {
  /** As `keyOf` names them. */
  keys: string[];
  words: string;
  section: Section;
  where: Where;
  holds?: Holds;
  /** How the sheet names the keys, where that is not just the keys. */
  shown?: string;
  /** What is done; without it the row is for the sheet alone, and whoever holds the gesture reads the keys. */
  act?(key: string): void;
}

/** A mouse's part of the sheet: no key, and so nothing that could clash. */
export const withMouse = (section: Section, shown: string, words: string): KeyRow => ({ keys: [], words, section, where: "anywhere", shown });

interface Pressed {
  key: string;
  shiftKey: boolean;
  ctrlKey: boolean;
  metaKey: boolean;
  altKey: boolean;
}

/** The name of what was pressed: "X", "Shift X", "Ctrl Shift Z", "ArrowUp", "?"; null where it is not ours. */
export function keyOf({ key, shiftKey, ctrlKey, metaKey, altKey }: Pressed): string | null {
  if (altKey) return null;
  const letter = /^\p{L}$/u.test(key);
  const name = letter ? key.toUpperCase() : key;
  // Signs such as the question mark are what they are, however they are typed.
  const shift = shiftKey && (letter || key.length > 1);
  return `${ctrlKey || metaKey ? "Ctrl " : ""}${shift ? "Shift " : ""}${name}`;
}

const exclusive: [Holds, Holds][] = [["picked", "nothing picked"]];
const apart = (a: Holds, b: Holds) => exclusive.some(([p, q]) => (a === p && b === q) || (a === q && b === p));

/** Keys that would do two things in one place at one time, in words; a row that holds only sometimes comes before "always". */
export function clashesIn(rows: KeyRow[]): string[] {
  const found: string[] = [];
  rows.forEach((row, i) => {
    for (const other of rows.slice(i + 1))
      for (const key of row.keys) {
        const [a, b] = [row.holds ?? "always", other.holds ?? "always"];
        const both = a === b || (a !== "always" && b !== "always" && !apart(a, b));
        const overlap = row.where === other.where || (isBare(row) && isBare(other));
        if (overlap && both && other.keys.includes(key)) found.push(`${key}: ${row.words} / ${other.words}`);
      }
  });
  return found;
}

/** Where nothing is going on. */
const isBare = ({ where }: KeyRow) => where === "anywhere" || where === "form";

/** The row that a key means, of those that hold now; one that holds only sometimes comes first. */
export function rowFor(rows: KeyRow[], key: string, where: Where[], holds: (condition: Holds) => boolean): KeyRow | undefined {
  const fitting = rows.filter((row) => row.act && row.keys.includes(key) && where.includes(row.where) && holds(row.holds ?? "always"));
  return fitting.find((row) => row.holds && row.holds !== "always") ?? fitting[0];
}

const names: Record<string, string> = { Delete: "Del", Escape: "Esc", Backspace: "Back" };
/** Keys for reading: "⇧ B" on a button, "Shift B" on the sheet. */
export const briefly = (key: string): string => key.replace(/^Shift /, "⇧ ").replace(/\w+$/, (word) => names[word] ?? word);
export const shortcut = (key: string): string => key.replace(/^Shift /, "Shift+").replace(/.$/, (last) => last.toLowerCase());
