/** The value of the shown map where the pointer is. */
import { create } from "zustand";

export const useMapUnder = create<{ value: number | null }>(() => ({ value: null }));

export function setMapUnder(value: number | null): void {
  if (useMapUnder.getState().value !== value) useMapUnder.setState({ value });
}
