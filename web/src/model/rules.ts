/** The rules of picking, in one list: the menu and the keys both read it. */
import type { Kind, PickRule } from "./types";

export interface NamedRule {
  id: string;
  words: string;
  key: string;
  rule(kind: Kind): PickRule;
  /** Whether it can be of use with this many of a kind picked. */
  fits(kind: Kind, count: number): boolean;
}

const some = (kind: Kind, count: number) => kind !== "piece" && count > 0;
const always = (kind: Kind) => kind !== "piece";

const simple = (id: "grow" | "shrink" | "invert" | "all" | "none" | "border", words: string, key: string, fits = some): NamedRule => ({
  id, words, key, rule: () => ({ rule: id }), fits,
});

export const rules: NamedRule[] = [
  { id: "loop", words: "Loop", key: "L", rule: () => ({ rule: "loop" }), fits: some },
  { id: "ring", words: "Ring", key: "R", rule: () => ({ rule: "ring" }), fits: some },
  { id: "band", words: "Band between two", key: "K", rule: () => ({ rule: "band" }), fits: (kind, count) => kind !== "piece" && count === 2 },
  simple("grow", "Grow", "G"),
  simple("shrink", "Shrink", "Shift G"),
  simple("invert", "Invert", "I", always),
  simple("all", "All", "A", always),
  simple("none", "None", "Shift A"),
  simple("border", "Border of faces", "", (kind, count) => kind === "face" || (count === 0 && kind !== "piece")),
  { id: "far-side", words: "Also on the far side (mirror of x)", key: "Q", rule: () => ({ rule: "far-side", axis: "x", at: 0 }), fits: some },
  { id: "valence", words: "Similar: same valence", key: "", rule: () => ({ rule: "similar", by: "valence", degrees: 15 }), fits: (kind, count) => (kind === "vertex" || kind === "face") && count > 0 },
  { id: "normal", words: "Similar: normal within 15°", key: "", rule: () => ({ rule: "similar", by: "normal", degrees: 15 }), fits: some },
  { id: "sharpness", words: "Similar: same sharpness", key: "", rule: () => ({ rule: "similar", by: "sharpness", degrees: 15 }), fits: (kind, count) => (kind === "vertex" || kind === "edge") && count > 0 },
  { id: "creases", words: "All creases", key: "", rule: () => ({ rule: "creases", least: 0 }), fits: always },
];
