/** What is to be marked on the forms, gathered from the stores. */
import { picksShown } from "../live/context";
import { useDesign } from "../live/stores/design";
import { useEnds } from "../live/stores/ends";
import { type Hover, useHover, usePicking } from "../live/stores/picking";
import { useProblem } from "../live/stores/problem";
import { useReach } from "../live/stores/reach";
import { toolInHand, useSession } from "../live/stores/session";
import { type Shows, useShow } from "../live/stores/show";
import { useShown } from "../live/stores/shown";
import type { End } from "../model/context";
import type { Kind, Place, Weights } from "../model/types";
import type { Marks } from "./marksView";

export interface Marked {
  shows: Shows;
  piece: string | null;
  others: string[];
  kind: Kind;
  picked: number[];
  hover: Hover | null;
  faults: { piece: string; vertices: number[]; edges: number[]; faces: number[] } | null;
  /** The end that was set aside, for tools that join two. */
  held: End | null;
  weights: Weights | null;
  /** How sharp creases are, as numbers. */
  badges: boolean;
}

export function markedNow(): Marked {
  const { preview } = useDesign.getState();
  const { piece, others } = usePicking.getState();
  const { kind, ids } = picksShown();
  return {
    // A brush looks at the surface: the cage would lie between.
    shows: toolInHand()?.is === "brush" ? "surface" : useShow.getState().shows,
    piece,
    others,
    kind,
    picked: ids,
    hover: preview ? null : useHover.getState().hover,
    faults: faultsNow(piece),
    held: preview ? null : useEnds.getState().far,
    weights: useReach.getState().weights,
    badges: useSession.getState().station === "refine",
  };
}

/** What was asked to be shown comes before what is refused, and that before what is suspect. */
function faultsNow(piece: string | null): Marked["faults"] {
  const shown = useShown.getState();
  if (shown.place && shown.piece) return { piece: shown.piece, ...elements(shown.place) };
  const { problem, piece: its, soft } = useProblem.getState();
  if (problem?.place && its && !soft) return { piece: its, ...elements(problem.place) };
  const suspect = useDesign.getState().preview?.suspect ?? [];
  return suspect.length && piece ? { piece, vertices: [], edges: [], faces: suspect } : null;
}

const elements = ({ vertices = [], edges = [], faces = [] }: Partial<Place>) => ({ vertices, edges, faces });

/** Of all that is marked, what belongs to one piece. */
export function marksOn(id: string, { kind, piece, others, picked, hover, faults, held }: Marked, comparing: boolean): Marks {
  const own = <T extends { piece: string }>(what: T | null) => (what?.piece === id ? what : null);
  const whole = kind === "piece" && others.includes(id) ? [0] : [];
  return { kind, picked: comparing ? [] : piece === id ? picked : whole, hover: own(hover), faults: own(faults), held: own(held) };
}

/** A map is read by its colours: a tint over all of it would turn them. */
export function untint(marks: Marks): void {
  if (marks.kind === "piece") marks.picked = [];
  if (marks.hover?.kind === "piece") marks.hover = null;
}

/** How a piece is marked of which no elements are picked, such as images of others. */
export function markOfWhole(id: string, { kind, piece, others, picked, hover }: Marked): "picked" | "hover" | "plain" {
  const held = kind === "piece" && ((piece === id && picked.length > 0) || others.includes(id));
  return held ? "picked" : hover?.piece === id ? "hover" : "plain";
}
