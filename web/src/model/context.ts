/** What a tool is handed: how things stand, as values, and what it may ask for. */
import type { Sketch } from "./sketch";
import type {
  AnyFollower, AnyProof, Body, CageArrays, Command, DesignState, Kind, LineArrays, PieceState, PreviewState, Problem, Reach, SolidFile, SurfaceArrays,
} from "./types";
import type { Frame, Vec } from "./vec";
import type { Values } from "./values";

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

/** Where the main view is seen from. */
export interface View {
  /** To the right, up, and towards the eye. */
  frame: Frame;
  /** Where the eye stands; null where it looks from infinitely far. */
  eye: Vec | null;
  /** Millimetres to a pixel in the middle of the view. */
  pixel: number;
  /** What it turns about; how many mm are seen there from top to bottom, and in perspective how many degrees. */
  target: Vec;
  tall: number;
  field: number | null;
}

/** Elements that were set aside on a piece, to be joined with what is picked next. */
export interface End {
  piece: string;
  kind: Kind;
  ids: number[];
}

export interface AxisPlane {
  axis: 0 | 1 | 2;
  at: number;
}

export interface Context {
  readonly design: DesignState | null;
  readonly preview: PreviewState | null;
  /** The piece in hand. */
  readonly piece: PieceState | null;
  readonly pickKind: Kind;
  readonly picked: number[];
  readonly target: Target | null;
  readonly placing: Placing;
  readonly view: View;
  readonly sketch: Sketch;
  /** What the card of the tool in hand says. */
  readonly values: Values;
  /** The end that was picked first, for tools that join two. */
  readonly far: End | null;
  /** The follower that is being changed. */
  readonly editing: { piece: string; follower: AnyFollower } | null;
  /** The proof that is being changed. */
  readonly proving: AnyProof | null;
  /** The grown piece of which the way it grows is being changed. */
  readonly regrowing: PieceState | null;
  /** Solids brought in from files. */
  readonly solids: SolidFile[];
  /** The body of the piece in hand, as it was before anything was previewed. */
  readonly body: Body | undefined;
  /** The line along which a number of the tool in hand is set, where the service has told one. */
  readonly rail: [Vec, Vec] | null;
  /** The reference in hand. */
  readonly reference: string | null;
  readonly section: (AxisPlane & { flip: boolean }) | null;
  readonly curveSection: AxisPlane | null;
  /** Of a curve its line, densely. */
  arrays(piece: string): { cage: CageArrays; surface: SurfaceArrays; line?: LineArrays } | undefined;
}

export interface Hands {
  /** Keep a command as a step; the answer is the design that it led to, or null where it was refused. */
  give(command: Command): Promise<DesignState | null>;
  /** Show what a command would lead to, or with null the design as it stands. */
  show(command: Command | null): void;
  /** Set values on the card, as if typed. */
  set(values: Values): void;
  /** Ask again what the card's values come to: what they go by beside themselves has changed. */
  again(): void;
  sketch(change: Partial<Sketch>): void;
  /** Take all points back. */
  clearSketch(): void;
  say(problem: Problem): void;
  cut(section: Context["section"]): void;
  cutCurve(section: AxisPlane): void;
}
