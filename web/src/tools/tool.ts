/** The shape of every tool. A new tool is a new file in this folder: it is found by itself. */
import type { ComponentType } from "react";
import type { SvgIconProps } from "@mui/material/SvgIcon";
import type { Frame, Vec } from "../live/look";
import type { AnyFollower, Command, Kind, Reach } from "../live/types";
import type { Pointing } from "../viewport/pointing";

export type StationId = "set-out" | "rough" | "shape" | "refine" | "prove" | "make";
export type Values = Record<string, number>;

export interface Field {
  name: string;
  label: string;
  /** "mm" is a length, shown in the design's unit; "°" an angle, "%" a share, "" a plain number. */
  unit: "mm" | "°" | "%" | "";
  initial: number;
  step: number;
  min?: number;
  max?: number;
  whole?: boolean;
  /** Keep the value after it was applied, so that the same can be done again. */
  keep?: boolean;
  slider?: boolean;
  /** A choice instead of a number: the value is the index of the words chosen. */
  options?: string[] | (() => string[]);
  /** One of three that stand beside one another, such as the parts of a direction. */
  narrow?: boolean;
  /** Shown behind "More" only: seldom needed. */
  more?: boolean;
  /** Shown only while this holds. */
  when?(values: Values): boolean;
}

export interface Target {
  piece: string;
  picked: { kind: Kind; ids: number[] };
  others?: string[];
}

/** About what, and along which axes, things are placed; null means the selection's middle, and the world's axes. */
export interface Placing {
  pivot: Vec | null;
  frame: Frame | null;
  /** How far it carries; null for the picked alone. */
  reach: Reach | null;
}

/** A part of the handle; axes are 0, 1, 2 for its own x, y, z. A grip changes one field, along a line in space. */
export type Part =
  | { kind: "axis"; axis: number }
  | { kind: "plane"; axis: number }
  | { kind: "arc"; axis: number }
  | { kind: "knob"; axis: number }
  | { kind: "screen" }
  | { kind: "normal" }
  | { kind: "each" }
  | { kind: "bead" }
  | { kind: "grip"; field: string; at: Vec; along: Vec; gain: number };

/**
 * How far a part was dragged: mm along it, degrees about it, or a factor; for moves also the vector in space, in mm, and
 * for the bead how far to the right and up, in mm, as its first part.
 */
export type Drag = { part: Part; amount: number; vector: Vec };

export interface Tool {
  id: string;
  name: string;
  /** The one key that takes the tool up, with `shift` held where that is said. */
  key?: string;
  shift?: boolean;
  station: StationId;
  /** The heading in the drawer that it stands under. */
  section?: string;
  order: number;
  Icon: ComponentType<SvgIconProps>;
  hint: string;
  needs: "nothing" | "selection" | "piece" | "pieces";
  /** Of a selection, the kinds that it can take; without it any. */
  takes?: Kind[];
  /** Shows what it would do as soon as it is taken up, and again whenever something else is picked. */
  eager?: boolean;
  /** Offers a reach on its card. */
  reaches?: boolean;
  /** Joins two ends, the first of which can be set aside. */
  ends?: boolean;
  /** The verb on the card's button. */
  verb: string;
  fields: Field[];
  /** What the button says that shows the fields that are seldom needed. */
  moreWords?: string;
  /** The command for these values, or null while they would change nothing. */
  command?(values: Values, target: Target | null, placing: Placing): Command | null;
  parts?: Part[];
  /** Beads on the form itself, each for one number. */
  grips?(values: Values): Extract<Part, { kind: "grip" }>[];
  /** Takes the drag of a bead itself, instead of setting a value by it; `done` when it was let go. */
  gripped?(part: Extract<Part, { kind: "grip" }>, amount: number, done: boolean): void;
  /** The values after a drag of a part, and the field that a number typed meanwhile goes to. */
  dragged?(drag: Drag, placing: Placing, start: Values): { values: Values; field: string };
  /** Sets other values that follow from one that was typed. */
  typed?(values: Values, field: string): Values;
  /** Offers pivot and orientation on its card, where it is a function while that holds. */
  places?: boolean | ((values: Values) => boolean);
  /** Takes clicks in the viewport instead of picking. */
  pointing?: Pointing;
  /** Takes strokes in the viewport: the elements that the pointer passed, when it was let go. */
  paints?: { kind: Kind; done(piece: string, ids: number[]): void };
  /** Done at once when taken up, with nothing to set. */
  atOnce?: boolean;
  /** Makes followers of these kinds, and reads its values off one that is to be changed. */
  follows?: AnyFollower["kind"][];
  reads?(follower: AnyFollower): Values;
  /** Laid aside once it was applied. */
  once?: boolean;
  /** Above the fields, or where there are none in their place: a card of its own. */
  Card?: ComponentType;
  /** Further controls below the fields. */
  Below?: ComponentType;
}

/** What is still to be picked before a tool can do anything, or null. */
export function missingFor(tool: Tool, kind: Kind, count: number, pieces: number, piece: string | null): string | null {
  if (tool.needs === "nothing") return null;
  if (tool.needs === "piece") return piece ? null : "Take a piece in hand first: pick one, or click its name.";
  if (tool.needs === "pieces") return kind === "piece" && pieces > 1 ? null : "Pick two pieces or more first (W, then Shift).";
  if (tool.takes && (!count || !tool.takes.includes(kind))) return `Pick ${eitherOf(tool.takes.map((k) => pickWords[k]))} first.`;
  return count ? null : "Pick vertices, edges or faces first (V, E, F), or pieces (W).";
}

const eitherOf = (words: string[]) => words.join(", ").replace(/, ([^,]*)$/, " or $1");

const pickWords: Record<Kind, string> = { vertex: "vertices (V)", edge: "edges (E)", face: "faces (F)", piece: "a piece (W)" };

export const axes = [0, 1, 2];
export const axisNames = ["x", "y", "z"] as const;
