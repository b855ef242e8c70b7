/** The ring of a brush where it lies on the form: points of its rim, flat. By itself, for it changes with every move of the pointer. */
import { create } from "zustand";

export const useRing = create<{ points: number[] | null }>(() => ({ points: null }));

export function setRing(points: number[] | null): void {
  if (points || useRing.getState().points) useRing.setState({ points });
}
