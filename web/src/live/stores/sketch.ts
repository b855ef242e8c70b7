/** The points set so far by the tool in hand, and the one under the pointer. */
import { create } from "zustand";
import { emptySketch, type Sketch, type Spot } from "../../model/sketch";

export const useSketch = create<Sketch>(() => emptySketch);
/** By itself, for it changes with every move of the pointer. */
export const useSpot = create<{ spot: Spot | null }>(() => ({ spot: null }));

/** The line that is being drawn. */
export const useDrawn = create<{ line: readonly Spot[] }>(() => ({ line: [] }));
export const setDrawn = (line: readonly Spot[]): void => useDrawn.setState({ line: [...line] });

/** Take all points back; what they are laid on stays. */
export function clearSketch(): void {
  const { on } = useSketch.getState();
  useSketch.setState({ ...emptySketch, on });
  useSpot.setState({ spot: null });
}
