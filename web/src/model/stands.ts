/** Stands to show pieces on, as the service makes them; sizes in mm. */
import type { StandAsk } from "./types";

export type StandName = StandAsk["stand"];

export const stands: Record<StandName, { words: string; sizeWords: string; usual: number }> = {
  cone: { words: "Ring cone", sizeWords: "Diameter in the middle", usual: 17 },
  finger: { words: "Finger", sizeWords: "Diameter at the ring", usual: 17 },
  hand: { words: "Hand", sizeWords: "Breadth", usual: 84 },
  neck: { words: "Neck", sizeWords: "Diameter", usual: 112 },
  bust: { words: "Bust", sizeWords: "Neck's diameter", usual: 112 },
  table: { words: "Table edge", sizeWords: "Thickness", usual: 28 },
  block: { words: "Block", sizeWords: "Side", usual: 80 },
  hook: { words: "Hook", sizeWords: "Width inside", usual: 24 },
};

/** As wide as a bore, where a piece has one. */
export const goesThrough = (name: StandName): boolean => name === "cone" || name === "finger" || name === "hand";
