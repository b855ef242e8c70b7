/** The shape that the tools of dimensions share: places that are picked, and a number that it may be held to. */
import type { Context } from "../../model/context";
import type { Fields, ValuesOf } from "../../model/fields";
import { type Tool, verb, type VerbOf } from "../../model/tool";
import type { AnyProof } from "../../model/types";
import { choice, length } from "./fields";

type Kind = "distance" | "angle" | "round" | "length";
type Of<K extends Kind> = Extract<AnyProof, { kind: K }>;
export type Spot = Required<NonNullable<Of<"distance">["first"]>>;

const nowhere: Spot = { kind: "axis", piece: "", ids: [], share: [0, 0], axis: "z" };
export const axisSpot = (axis: "x" | "y" | "z"): Spot => ({ ...nowhere, axis });

/** One element as a place that stays: an edge by its two vertices, which outlive it. */
function spotOf(context: Context, piece: string, kind: Context["pickKind"], id: number): Spot | null {
  const cage = context.arrays(piece)?.cage;
  if (kind === "piece" || !cage) return null;
  return { ...nowhere, kind, piece, ids: kind === "edge" ? [...cage.edge_verts.subarray(2 * id, 2 * id + 2)] : [id] };
}

/** What is picked as places, in the order in which it was picked, with the end that was kept before. */
export function placesPicked(context: Context): Spot[] {
  const { far, piece, pickKind, picked } = context;
  const own = piece ? picked.map((id) => spotOf(context, piece.id, pickKind, id)) : [];
  const first = far ? far.ids.map((id) => spotOf(context, far.piece, far.kind, id)) : [];
  return [...first, ...own].filter((spot) => spot !== null);
}

/** Of the edges that are picked their vertices, in pairs. */
export function pairsPicked({ piece, pickKind, picked, arrays }: Context): [number, number][] {
  const cage = piece && arrays(piece.id)?.cage;
  if (!cage || pickKind !== "edge") return [];
  return picked.map((edge) => [cage.edge_verts[2 * edge], cage.edge_verts[2 * edge + 1]]);
}

export const held = {
  held: choice("Held to", { no: "no number", yes: "a number" }),
  wanted: length("Number", 10, { min: 0 }),
  tolerance: length("Give or take", 0.1, { step: 0.05, above: 0 }),
};

type HeldValues = { held: "no" | "yes"; wanted: number; tolerance: number };

export const heldShown = { wanted: (v: { held?: unknown }) => v.held === "yes", tolerance: (v: { held?: unknown }) => v.held === "yes" };
export const heldOf = (v: HeldValues) => ({ wanted: v.held === "yes" ? v.wanted : null, tolerance: v.tolerance });
export const heldFrom = (p: { wanted?: number | null; tolerance?: number }): Partial<HeldValues> =>
  typeof p.wanted === "number" ? { held: "yes", wanted: p.wanted, tolerance: p.tolerance ?? 0.1 } : { held: "no" };

type Given<F extends Fields, K extends Kind> = Pick<VerbOf<F>, "id" | "name" | "order" | "icon" | "hint" | "fields"> &
  Partial<Pick<VerbOf<F>, "also" | "shown" | "ends" | "takes">> & {
    kind: K;
    /** What is still to be picked, or null. */
    lacks(context: Context): string | null;
    /** What is measured by these values; `was` is the dimension that is being changed, whose places stay. */
    make(values: ValuesOf<F>, context: Context, was: Of<K> | null): Omit<Of<K>, "id">;
    read(proof: Of<K>): Partial<ValuesOf<F>>;
  };

export function dimensionTool<const F extends Fields, const K extends Kind>({ kind, lacks, make, read, ...given }: Given<F, K>): Tool {
  return verb<F>({
    station: "prove",
    section: "Dimensions",
    needs: "piece",
    eager: true,
    verb: "Keep it",
    missing: (context) => (context.proving ? null : lacks(context)),
    ...given,
    proves: [kind],
    // What was changed is done; another can be asked right away.
    leaves: ({ proving }) => proving !== null,
    readsProof: (proof) => read(proof as Of<K>),
    command(values, context) {
      const { proving } = context;
      if (!proving && lacks(context)) return null;
      const proof = { ...make(values, context, proving as Of<K> | null), id: proving?.id ?? "" } as AnyProof;
      return proving ? { kind: "change-proof", proof } : { kind: "add-proof", proof };
    },
  });
}
