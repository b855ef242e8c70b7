/** A choice that this browser keeps. */
import { useState } from "react";

const address = (name: string) => `zinc-otter.${name}`;

export function useKept<T extends string>(name: string, initial: T, all: readonly T[]): [T, (next: T) => void] {
  const [value, setValue] = useState<T>(() => {
    try {
      const said = localStorage.getItem(address(name)) as T | null;
      return said !== null && all.includes(said) ? said : initial;
    } catch {
      return initial;
    }
  });
  const set = (next: T) => {
    setValue(next);
    try {
      localStorage.setItem(address(name), next);
    } catch {
      // Without storage it holds until the page is left.
    }
  };
  return [value, set];
}
