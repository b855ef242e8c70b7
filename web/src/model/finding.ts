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
  if (!words.length) return [...all];
  const scored = all.map((tool) => ({ tool, by: Math.min(...words.map((word) => score(tool, word))) })).filter(({ by }) => by > 0);
  const best = Math.max(...scored.map(({ by }) => by), 0);
  const found = scored.filter(({ by }) => by >= Math.min(best, 2));
  // Stations stay together, as the list shows them: the one first that has what is meant by its name.
  const stations = [...new Set(found.map(({ tool }) => tool.station))];
  const groups = stations.map((station) => found.filter(({ tool }) => tool.station === station).sort((a, b) => b.by - a.by));
  return groups.sort((a, b) => b[0].by - a[0].by).flatMap((group) => group.map(({ tool }) => tool));
}
