/** Little room: a small window, or one at 200 % zoom. Panels fold there, and names stand back until they are near. */
import { useSyncExternalStore } from "react";

const query = "(max-width: 900px), (max-height: 540px)";
/** For styles. */
export const tight = `@media ${query}`;

/** Seen by nobody, and read out all the same. */
export const unseen = { position: "absolute", width: 1, height: 1, overflow: "hidden", clipPath: "inset(50%)", whiteSpace: "nowrap" } as const;

const list = window.matchMedia(query);
const listen = (changed: () => void) => {
  list.addEventListener("change", changed);
  return () => list.removeEventListener("change", changed);
};
export const useTight = (): boolean => useSyncExternalStore(listen, () => list.matches);
