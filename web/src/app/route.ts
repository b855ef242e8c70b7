/** Two views, told apart by the address: the first screen, and one design. */
import { useSyncExternalStore } from "react";

const listeners = new Set<() => void>();
const tell = () => listeners.forEach((listener) => listener());
window.addEventListener("popstate", tell);

export function go(path: string): void {
  history.pushState(null, "", path);
  tell();
}

export function useDesignInAddress(): string | null {
  const path = useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => location.pathname,
  );
  return /^\/design\/([0-9a-f]+)$/.exec(path)?.[1] ?? null;
}
