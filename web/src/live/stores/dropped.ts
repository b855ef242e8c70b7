/** A file that was dropped onto the window, until the card of the tool that takes it has it. */
import { create } from "zustand";

interface DroppedStore {
  file: File | null;
  /** How many there have been: with each the card begins anew. */
  serial: number;
}

export const useDropped = create<DroppedStore>(() => ({ file: null, serial: 0 }));

/** Whoever takes it has it alone. */
export function takeDropped(): File | null {
  const { file } = useDropped.getState();
  useDropped.setState({ file: null });
  return file;
}
