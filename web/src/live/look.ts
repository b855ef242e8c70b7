/** How this screen looks at a design: nothing here is kept with the design, and nothing of it is a step. */
import { create } from "zustand";

export type Material = "clay" | "metal" | "stripes";
export type FlatName = "front" | "right" | "top";
export type Snap = "grid" | "vertex" | "edge" | "face" | "reference";
export type Orientation = "world" | "view" | "selection" | "edge";
export type Vec = [number, number, number];
export type Frame = [Vec, Vec, Vec];

export interface Compare {
  a: string;
  b: string;
  over: boolean;
}

interface Look {
  /** Level of smoothness, or null for the finest that is quick. */
  level: number | null;
  material: Material;
  /** Lines of the surface to a face, 0 for none. */
  isolines: number;
  /** The level whose wireframe is drawn, 0 for none. */
  wire: number;
  normals: boolean;
  valences: boolean;
  backs: boolean;
  /** What followers make of pieces is drawn, instead of the pieces' own surfaces. */
  bodies: boolean;
  second: FlatName | null;
  section: { axis: 0 | 1 | 2; at: number; flip: boolean } | null;
  isolated: boolean;
  compare: Compare | null;
  lasso: boolean;
  /** Draw a quarter of the pixels: for machines without a graphics card. Kept by the browser. */
  quick: boolean;
  snaps: Record<Snap, boolean>;
  /** The grid's spacing now on the screen, in mm. */
  grid: number;
  /** How far an arrow key nudges, in mm; 0 for the grid's spacing. */
  nudge: number;
  pivot: Vec | null;
  orientation: Orientation;
  /** Axes taken from a picked edge. */
  edgeFrame: Frame | null;
  /** The working plane: ground, front, side, or the id of a picture. */
  plane: string;
  planeAt: number;
  reference: string | null;
  set(change: Partial<Look>): void;
}

const QUICK = "zinc-otter.quick-drawing";

function remembered(): boolean {
  try {
    return localStorage.getItem(QUICK) === "yes";
  } catch {
    return false;
  }
}

export function drawQuickly(quick: boolean): void {
  useLook.setState({ quick });
  try {
    localStorage.setItem(QUICK, quick ? "yes" : "no");
  } catch {
    // Without storage it holds until the page is left.
  }
}

export const useLook = create<Look>((set) => ({
  level: null,
  material: "clay",
  isolines: 0,
  wire: 0,
  normals: false,
  valences: false,
  backs: true,
  bodies: true,
  second: null,
  section: null,
  isolated: false,
  compare: null,
  lasso: false,
  quick: remembered(),
  snaps: { grid: false, vertex: false, edge: false, face: false, reference: true },
  grid: 10,
  nudge: 0,
  pivot: null,
  orientation: "world",
  edgeFrame: null,
  plane: "ground",
  planeAt: 0,
  reference: null,
  set,
}));
