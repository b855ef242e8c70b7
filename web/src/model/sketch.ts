/** Points in space that are set by clicks, and what they were found on. */
import type { Between } from "./bodies";
import type { Vec } from "./vec";

/** A point in space, and what it was found on. */
export interface Spot {
  point: Vec;
  on: "vertex" | "edge" | "face" | "image" | "reference" | "picture" | "plane";
  /** The outward direction there, where there is one. */
  normal: Vec | null;
  /** The cage's vertices that the spot stands for: one, or the two ends of an edge. */
  vertices: number[];
  piece: string | null;
  reference: string | null;
  /** Of the images of a repeat, which one, from 0. */
  image?: number;
  /** Of an edge of a body: between what it lies. */
  between?: Between;
}

export interface SpotQuery {
  /** Existing vertices and open edges are taken before all else. */
  reuse?: boolean;
  /** Only points on the surface of a piece, where it is and not drawn to anything. */
  surface?: boolean;
  /** On surfaces as they are, drawn to no vertex and no edge. */
  bare?: boolean;
  /** Nothing but images of repeats. */
  images?: boolean;
  /** Only points on this picture. */
  picture?: string;
  /** Where nothing is met, a point of the plane through the middle of the view that faces the eye. */
  anywhere?: boolean;
  /** Also on surfaces, whether these are drawn to or not. */
  faces?: boolean;
  /** Only points of the working plane, off its grid too. */
  plane?: boolean;
  /** Nothing but the edges of the body that followers make of the piece in hand. */
  bodyEdges?: boolean;
}

/** The points set so far by the tool in hand. */
export interface Sketch {
  spots: Spot[];
  closed: boolean;
  /** The points are those of one stroke of the hand. */
  freehand: boolean;
  /** Each two points belong together, and not to those before. */
  paired: boolean;
  /** Each point stands for itself. */
  apart: boolean;
  /** A direction that looked at the eye when the last point was set. */
  towards: Vec;
  /** The piece that faces are being laid on. */
  on: string | null;
  /** The picture on which two points are being marked. */
  marking: string | null;
}

export const emptySketch: Sketch = { spots: [], closed: false, freehand: false, paired: false, apart: false, towards: [0, 0, 1], on: null, marking: null };
