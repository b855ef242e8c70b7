/** How this screen shows a design: nothing here is kept with the design, and nothing of it is a step. */
import { create } from "zustand";
import type { AxisPlane } from "../../model/context";
import type { Surroundings } from "../../model/pictures";
import type { Frame, Vec } from "../../model/vec";
import { keep, kept } from "./kept";
import { keepLook, type KeptLook, rememberedLook } from "./keptLook";

export type Shows = "cage" | "surface" | "both";
export type Material = "clay" | "finish" | "metal" | "stripes";
export type FlatName = "front" | "right" | "top";
export type Snap = "grid" | "vertex" | "edge" | "face" | "reference";
export type Orientation = "world" | "view" | "selection" | "edge";

export interface Compare {
  a: string;
  b: string;
  over: boolean;
}

interface ShowStore {
  shows: Shows;
  /** Level of smoothness, or null for the finest that is quick. */
  level: number | null;
  material: Material;
  /** What stands around finishes and stones; the light is turned about the upright by so many degrees, and so many times twice as bright. */
  light: { around: Surroundings; turn: number; stops: number };
  /** Lines of the surface to a face, 0 for none. */
  isolines: number;
  /** The level whose wireframe is drawn, 0 for none. */
  wire: number;
  normals: boolean;
  valences: boolean;
  backs: boolean;
  /** Dimensions are drawn on the form. */
  dimensions: boolean;
  /** What followers make of pieces is drawn, instead of the pieces' own surfaces. */
  bodies: boolean;
  /** The main view is flat, as on a drawing, and not in perspective. */
  flat: boolean;
  second: FlatName | null;
  section: (AxisPlane & { flip: boolean }) | null;
  isolated: boolean;
  compare: Compare | null;
  /** Pieces that are seen through, for what lies within or behind them. */
  glass: string[];
  /** Components of which the edges of their facets are drawn. */
  facets: string[];
  lasso: boolean;
  /** Draw a quarter of the pixels, with their steps: for machines without a graphics card. Kept by the browser. */
  quick: boolean;
  /** Edges are drawn smooth, which costs time. Kept by the browser. */
  smooth: boolean;
  /** Hollows lie in soft shade. Kept by the browser. */
  hollows: boolean;
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
  /** The scan on which the surface stays while it is worked on. */
  stick: string | null;
}

/** How finely this browser draws, and what it does where nothing was said. */
const drawing = { quick: false, smooth: true, hollows: true };
type Drawing = keyof typeof drawing;

function remembered(name: Drawing): boolean {
  const said = kept(`${name}-drawing`);
  return said === null ? drawing[name] : said === "yes";
}

export function draw(name: Drawing, on: boolean): void {
  useShow.setState({ [name]: on });
  keep(`${name}-drawing`, on ? "yes" : "no");
}

const look = rememberedLook();

export const useShow = create<ShowStore>(() => ({
  ...look,
  level: null,
  light: { around: "tent", turn: 0, stops: 0 },
  flat: false,
  second: null,
  section: null,
  isolated: false,
  compare: null,
  glass: [],
  facets: [],
  quick: remembered("quick"),
  smooth: remembered("smooth"),
  hollows: remembered("hollows"),
  snaps: { grid: false, vertex: false, edge: false, face: false, reference: true },
  grid: 10,
  pivot: null,
  orientation: "world",
  edgeFrame: null,
  plane: "ground",
  planeAt: 0,
  reference: null,
  stick: null,
}));

export const show = useShow.setState;
useShow.subscribe((now, before) => {
  if (Object.keys(look).some((name) => now[name as keyof KeptLook] !== before[name as keyof KeptLook])) keepLook(now);
});

/** An amount by the grid where that is on, else by what a pixel can tell. */
export function toGrid(value: number): number | null {
  const { snaps, grid } = useShow.getState();
  return snaps.grid ? Math.round(value / grid) * grid : null;
}
