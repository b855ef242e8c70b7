/** Tools that take clicks in the viewport: each point snaps to what lies there, and is shown before the click. */
import { create } from "zustand";
import type { Vec } from "../live/look";
import type { Picker } from "./picking";

/** A point in space, and what it was found on. */
export interface Spot {
  point: Vec;
  on: "vertex" | "edge" | "face" | "reference" | "picture" | "plane";
  /** The outward direction there, where there is one. */
  normal: Vec | null;
  /** The cage's vertices that the spot stands for: one, or the two ends of an edge. */
  vertices: number[];
  piece: string | null;
  reference: string | null;
}

export interface SpotQuery {
  /** Existing vertices and open edges are taken before all else. */
  reuse?: boolean;
  /** Only points on this picture. */
  picture?: string;
  /** Where nothing is met, a point of the plane through the middle of the view that faces the eye. */
  anywhere?: boolean;
}

export interface Pointing {
  active(): boolean;
  query?: () => SpotQuery;
  /** Finds the spot itself, in place of the query. */
  find?(picker: Picker, x: number, y: number): Spot | null;
  click(spot: Spot, towards: Vec): void;
  /** Enter, Backspace and Escape, while points are set; true where it was taken. */
  key(key: string): boolean;
}

interface Sketch {
  spots: Spot[];
  closed: boolean;
  hover: Spot | null;
  /** A direction that looked at the eye when the last point was set. */
  towards: Vec;
  set(change: Partial<Sketch>): void;
}

/** The points set so far by the tool in hand. */
export const useSketch = create<Sketch>((set) => ({
  spots: [],
  closed: false,
  hover: null,
  towards: [0, 0, 1],
  set,
}));

export const clearSketch = (): void => useSketch.setState({ spots: [], closed: false, hover: null });
