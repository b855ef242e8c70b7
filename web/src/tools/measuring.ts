/** Marking two points on a picture: started from the reference's card, fed by clicks in the viewport. */
import { create } from "zustand";
import { clearSketch, type Pointing, useSketch } from "../viewport/pointing";

const useMeasuring = create<{ picture: string | null }>(() => ({ picture: null }));

export const measuring = {
  useActive: () => useMeasuring((s) => s.picture) !== null,
  start(picture: string): void {
    clearSketch();
    useMeasuring.setState({ picture });
  },
  stop(): void {
    clearSketch();
    useMeasuring.setState({ picture: null });
  },
};

export const markTwo: Pointing = {
  active: () => useMeasuring.getState().picture !== null && useSketch.getState().spots.length < 2,
  query: () => ({ picture: useMeasuring.getState().picture ?? undefined }),
  click(spot) {
    useSketch.setState((s) => ({ spots: [...s.spots, spot] }));
  },
  key(key) {
    if (key !== "Escape") return false;
    measuring.stop();
    return true;
  },
};
