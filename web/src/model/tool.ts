/** What tools are. A new tool is a new file in `tools/`: it is found by itself. */
import type { Context, Hands } from "./context";
import type { Fields, NameOf, ValuesOf } from "./fields";
import type { Spot, SpotQuery } from "./sketch";
import type { AnyFollower, AnyGrowth, AnyProof, Command, Kind, Place } from "./types";
import type { Values } from "./values";
import type { Vec } from "./vec";

export type StationId = "set-out" | "rough" | "shape" | "refine" | "relief" | "prove" | "make";

/** An icon of our own drawing on a 24 grid: lines of one pen, and dots. */
export interface Drawing {
  lines: string[];
  dots: [number, number][];
}

export const drawn = (lines: string[], dots: [number, number][] = []): Drawing => ({ lines, dots });

/** A bead on the form, or on what lies around it, that changes one value along a line in space. */
export interface Grip<N extends string = string> {
  kind: "grip";
  field: N;
  at: Vec;
  along: Vec;
  /** How much the value changes for a millimetre. */
  gain: number;
}

/** A tool with so much of the piece in hand as is at fault, or of a body the follower of a kind. */
export interface Mending {
  tool: string;
  picks: "piece" | "edge" | "face";
  follower?: AnyFollower["kind"];
}

/** A part of the handle; axes are 0, 1, 2 for its own x, y, z. */
export type Part =
  | { kind: "axis"; axis: number }
  | { kind: "plane"; axis: number }
  | { kind: "arc"; axis: number }
  | { kind: "knob"; axis: number }
  | { kind: "screen" }
  | { kind: "normal" }
  | { kind: "each" }
  | { kind: "bead" }
  | Grip;

/**
 * How far a part was dragged: mm along it, degrees about it, or a factor; for moves also the vector in space, in mm, and
 * for the bead how far to the right and up, in mm, as its first part.
 */
export interface Drag {
  part: Part;
  amount: number;
  vector: Vec;
}

/** The values after a drag of a part, and the field that a number typed meanwhile goes to. */
export interface Dragged<F extends Fields> {
  values: Partial<ValuesOf<F>>;
  field: NameOf<F>;
}

/** Takes clicks in the viewport instead of picking. */
export interface Pointing {
  active(context: Context): boolean;
  /** What is looked for: for a click, or once a line was begun at a spot, for the rest of it. */
  query(context: Context, begun?: Spot): SpotQuery;
  click(spot: Spot, towards: Vec, context: Context, hands: Hands): void;
  /** Takes a line that is drawn instead of clicked; what it passed. */
  stroke?(line: Spot[], towards: Vec, context: Context, hands: Hands): void;
  /** Enter, Backspace and Escape, while points are set; true where it was taken. */
  key?(key: string, context: Context, hands: Hands): boolean;
}

interface Common {
  id: string;
  name: string;
  /** The one key that takes the tool up: "x", or "Shift X". */
  key?: string;
  station: StationId;
  /** The heading in the drawer that it stands under. */
  section?: string;
  order: number;
  /** Taken up when its station is opened. */
  opens?: boolean;
  icon: Drawing;
  hint: string;
  /** Further words by which people look for it. */
  also?: string;
  /** Endings of the files that it takes, also where they are dropped onto the window. */
  files?: readonly string[];
  pointing?: Pointing;
}

/** The sharp lines of a component, from an angle on: what a tool shows on it. */
export interface SharpLines {
  /** The component's id; of none that is there the first is meant. */
  on: string;
  degrees: number;
}

/** Fields on a card, and what is dragged to set them. */
interface Numbered<F extends Fields> {
  fields: F;
  /** Fields that are shown only while this holds. */
  shown?: { readonly [K in keyof F]?: (values: ValuesOf<F>, context: Context) => boolean };
  /** The verb on the card's button. */
  verb: string;
  /** What the button says that shows the fields that are seldom needed. */
  moreWords?: string;
  /** The command whose beginnings the card begins with: the service tells them, by the names of fields or as they are read. */
  begins?: { kind: Command["kind"]; read?(told: Readonly<Record<string, unknown>>): Partial<ValuesOf<F>> };
  /** Sets other values that follow from one that was typed. */
  typed?(values: ValuesOf<F>, field: NameOf<F>): ValuesOf<F>;
  /** Beads on the form itself, each for one number. */
  grips?(values: ValuesOf<F>, context: Context): Grip<NameOf<F>>[];
  /** The command for these values, or null while they would change nothing. */
  command(values: ValuesOf<F>, context: Context): Command | null;
  /** Which sharp lines are to be seen meanwhile. */
  sharpLines?(values: ValuesOf<F>): SharpLines | null;
  /** Further controls below the fields: a file of `panels/cards`. */
  below?: string;
}

/** Does something to what is picked, or to the piece in hand. */
export interface VerbOf<F extends Fields> extends Common, Numbered<F> {
  is: "verb";
  needs: "selection" | "piece" | "pieces";
  /** Of a selection, the kinds that it can take; without it any. */
  takes?: Kind[];
  /** Shows what it would do as soon as it is taken up, and again whenever something else is picked. */
  eager?: boolean;
  /** Offers a reach on its card. */
  reaches?: boolean;
  /** Joins two ends, the first of which can be set aside. */
  ends?: boolean;
  /** Offers orientation on its card, and with "pivot" a pivot, too; a function where it depends on the values. */
  places?: "axes" | "pivot" | ((values: ValuesOf<F>) => boolean);
  parts?: Part[];
  dragged?(drag: Drag, start: ValuesOf<F>, context: Context): Dragged<F>;
  /** Taken up while its key is held in a drag, and laid aside again after it. */
  springsTo?: string;
  /** The tool that is taken up once this one was applied. */
  then?: string;
  /** What would do instead where it is refused, by the kind of problem: words on a button, and the values that it sets. */
  waysOut?: Readonly<Record<string, { words: string; values: Partial<ValuesOf<F>> }>>;
  /** Done at once when taken up, with nothing to set. */
  atOnce?: boolean;
  /** Makes followers of these kinds, and reads its values off one that is to be changed. */
  follows?: AnyFollower["kind"][];
  reads?(follower: AnyFollower, context: Context): Partial<ValuesOf<F>>;
  /** Lets pieces grow in these ways, and reads its values off one that is to be changed. */
  grows?: AnyGrowth["kind"][];
  readsGrowth?(growth: AnyGrowth): Partial<ValuesOf<F>>;
  /** Asks proofs of these kinds, and reads its values off one that is to be changed. */
  proves?: AnyProof["kind"][];
  readsProof?(proof: AnyProof): Partial<ValuesOf<F>>;
  /** What mends such a proof where it fails; it may hang on what is at fault. */
  mends?: Mending | ((place: Partial<Place>) => Mending);
  /** Brings dimensions of these kinds to a number, and begins with the one that was found. */
  makesTrue?: AnyProof["kind"][];
  readsFigure?(figure: number): Partial<ValuesOf<F>>;
  /** Laid aside once it was applied. */
  leaves?(context: Context): boolean;
  /** Stays in the station that it was taken up in. */
  anywhere?: boolean;
  /** What is still to be picked before it can do anything; null for nothing, undefined where it is as `needs` says. */
  missing?(context: Context): string | null | undefined;
}

/** Puts a new form down. */
export interface FormOf<F extends Fields> extends Common, Numbered<F> {
  is: "form";
}

/** Takes strokes: all elements that the pointer passes. */
export interface StrokesOf<F extends Fields> extends Common {
  is: "strokes";
  fields: F;
  kind: Kind;
  done(values: ValuesOf<F>, piece: string, ids: number[]): Command;
}

/** One stroke of a brush, as the hand led it. */
export interface Stroke {
  piece: string;
  /** Places on the surface in mm, each with the pressure of the hand: four numbers a place. */
  way: number[];
  /** Points at the eye. */
  towards: Vec;
  /** Held keys: for what the brush does the other way round, and for smoothing instead. */
  opposite: boolean;
  smooth: boolean;
}

/** Is led over the surface of the piece in hand, and shows what it does meanwhile. */
export interface BrushOf<F extends Fields> extends Common {
  is: "brush";
  fields: F;
  shown?: { readonly [K in keyof F]?: (values: ValuesOf<F>, context: Context) => boolean };
  moreWords?: string;
  /** In mm: a ring so wide lies on the form under the pointer. */
  radius(values: ValuesOf<F>): number;
  /** Sets other values that follow from one that was chosen. */
  typed?(values: ValuesOf<F>, field: NameOf<F>, context: Context): ValuesOf<F>;
  /** The field that a drag up and down with a key held sets, beside the radius sideways. */
  strength: NameOf<F>;
  /** It takes along what lies under it where it begins: the way is that of the pointer across the view. */
  drags?: boolean;
  /** What the first brush on a piece begins with. */
  starts(context: Context): Partial<ValuesOf<F>>;
  stroke(stroke: Stroke, values: ValuesOf<F>, context: Context): Command;
  /** Further controls below the fields: a file of `panels/cards`. */
  below?: string;
}

/** Has a card of its own: a file of `panels/cards`. */
export interface CardTool extends Common {
  is: "card";
  card: string;
  /** Places and changes the reference that is in hand. */
  forReferences?: boolean;
  grips?(context: Context): Grip[];
  /** Takes the drag of a bead; `done` when it was let go. */
  gripped?(grip: Grip, amount: number, done: boolean, context: Context, hands: Hands): void;
}

/** What a card of its own is handed. */
export interface CardProps {
  tool: Tool;
}

export type Verb = VerbOf<Fields>;
export type Form = FormOf<Fields>;
export type Strokes = StrokesOf<Fields>;
export type Brush = BrushOf<Fields>;
export type Tool = Verb | Form | Strokes | Brush | CardTool;

type Given<T> = Omit<T, "is">;

// Inside a tool its values have their types; outside they are any tool's.
export const verb = <const F extends Fields>(given: Given<VerbOf<F>>): Tool => ({ is: "verb", ...given }) as unknown as Verb;
export const form = <const F extends Fields>(given: Given<FormOf<F>>): Tool => ({ is: "form", ...given }) as unknown as Form;
export const strokes = <const F extends Fields>(given: Given<StrokesOf<F>>): Tool => ({ is: "strokes", ...given }) as unknown as Strokes;
export const brush = <const F extends Fields>(given: Given<BrushOf<F>>): Tool => ({ is: "brush", ...given }) as unknown as Brush;
export const card = (given: Given<CardTool>): Tool => ({ is: "card", ...given });

const noFields: Fields = {};
export const fieldsOf = (tool: Tool | null): Fields => (tool && tool.is !== "card" ? tool.fields : noFields);

/** The fields that the card shows, by name. */
export function shownFields(tool: Tool, values: Values, context: Context): string[] {
  const shown = tool.is === "strokes" || tool.is === "card" ? undefined : tool.shown;
  return Object.entries(fieldsOf(tool)).flatMap(([name, field]) =>
    field.is !== "kept" && (shown?.[name]?.(values as ValuesOf<Fields>, context) ?? true) ? [name] : [],
  );
}

/** The command that a tool's values and the selection add up to. */
export const commandOf = (tool: Tool | null, values: Values, context: Context): Command | null =>
  tool?.is === "verb" || tool?.is === "form" ? tool.command(values, context) : null;

/** The beads that a tool lays on the form. */
export function gripsOf(tool: Tool | null, values: Values, context: Context): Grip[] {
  if (tool?.is === "card") return tool.grips?.(context) ?? [];
  return tool?.is === "verb" || tool?.is === "form" ? (tool.grips?.(values, context) ?? []) : [];
}

export const isEager = (tool: Tool | null): boolean => tool?.is === "verb" && tool.eager === true;
export const doesReach = (tool: Tool | null): boolean => tool?.is === "verb" && tool.reaches === true;

/** What is still to be picked before a tool can do anything, or null. */
export function missingFor(tool: Tool, context: Context): string | null {
  const { pickKind, picked, piece, target } = context;
  if (tool.is === "brush") return !piece || piece.curve ? "Take a piece with faces in hand first: click its name, or draw on it." : null;
  if (tool.is !== "verb") return null;
  const own = tool.missing?.(context);
  if (own !== undefined) return own;
  if (tool.needs === "piece") return piece ? null : "Take a piece in hand first: pick one, or click its name.";
  if (tool.needs === "pieces") return target?.others?.length ? null : "Pick two pieces or more first (W, then Shift).";
  if (tool.takes && (!picked.length || !tool.takes.includes(pickKind)))
    return `Pick ${eitherOf(tool.takes.map((k) => pickWords[k]))} first.`;
  return picked.length ? null : "Pick vertices, edges or faces first (V, E, F), or pieces (W).";
}

const eitherOf = (words: string[]) => words.join(", ").replace(/, ([^,]*)$/, " or $1");

const pickWords: Record<Kind, string> = { vertex: "vertices (V)", edge: "edges (E)", face: "faces (F)", piece: "a piece (W)" };

export const axes = [0, 1, 2];
export const axisNames = ["x", "y", "z"] as const;
