/** Tools by the words that people bring: by their names first, then by what else they are called, then by what is said of them. */
import type { Tool } from "./tool";

const score = (tool: Tool, word: string): number => {
  const starts = (text: string) => ` ${text.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, " ")}`.includes(` ${word}`);
  if (starts(tool.name)) return 3;
  if (tool.also && starts(tool.also)) return 2;
  return tool.hint && starts(tool.hint) ? 1 : 0;
};

/** The tools that every word leads to, the nearest first; all of them where nothing was typed. */
export function toolsFor(all: readonly Tool[], text: string): Tool[] {
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  const scored = all.map((tool) => ({ tool, by: words.map((word) => score(tool, word)) }));
  // Stations stay together, as the list shows them.
  const found = scored.filter(({ by }) => by.every((one) => one > 0));
  const best = Math.max(...found.map(({ by }) => Math.min(...by, 3)), 0);
  return found.filter(({ by }) => Math.min(...by, 3) >= Math.min(best, 2)).map(({ tool }) => tool);
}
