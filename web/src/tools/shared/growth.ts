/** The shape that the tools of growing forms share: one card to let one grow, and the same to let it grow otherwise. */
import type { Context } from "../../model/context";
import type { Fields, ValuesOf } from "../../model/fields";
import { regrowth, sourcesOf } from "../../model/growths";
import { type Tool, verb, type VerbOf } from "../../model/tool";
import type { AnyGrowth, PieceState } from "../../model/types";

type Kind = AnyGrowth["kind"];
type Of<K extends Kind> = Extract<AnyGrowth, { kind: K }>;

type Given<F extends Fields, K extends Kind> = Pick<VerbOf<F>, "id" | "name" | "order" | "icon" | "hint" | "fields" | "verb"> &
  Partial<Pick<VerbOf<F>, "also" | "shown" | "grips" | "typed" | "begins" | "moreWords" | "key" | "waysOut" | "station" | "section" | "missing">> & {
    kind: K;
    /** How many sources it takes at least, and at most. */
    curves: [least: number, most: number];
    /** What it grows from; the curves in hand, where nothing else is said. */
    from?(context: Context): PieceState[];
    /** What is to be picked for it. */
    needed?: string;
    /** The growth from these pieces. */
    make(values: ValuesOf<F>, sources: string[], context: Context): Of<K>;
    read(growth: Of<K>): Partial<ValuesOf<F>>;
  };

/** The curves that are picked as wholes, in the order in which they were, or the one in hand. */
export function curvesInHand({ design, piece, target }: Context): PieceState[] {
  const ids = target?.picked.kind === "piece" ? [target.piece, ...(target.others ?? [])] : piece ? [piece.id] : [];
  return ids.flatMap((id) => design?.pieces.find((p) => p.id === id && p.curve) ?? []);
}

/** The pieces with faces that are picked as wholes, or the one in hand. */
export function facedInHand({ design, piece, target }: Context): PieceState[] {
  const ids = target?.picked.kind === "piece" ? [target.piece, ...(target.others ?? [])] : piece ? [piece.id] : [];
  return ids.flatMap((id) => design?.pieces.find((p) => p.id === id && !p.curve) ?? []);
}

export function growthTool<const F extends Fields, const K extends Kind>({ kind, curves, from = curvesInHand, needed: own, missing, make, read, ...given }: Given<F, K>): Tool {
  const [least, most] = curves;
  const needed = own ?? (least === 1 ? "Pick a curve first: its line, or one of its points, or its name." : `Pick ${least} curves or more first (W, then Shift).`);
  return verb<F>({
    station: "rough",
    section: "Growing",
    needs: "piece",
    eager: true,
    then: "move",
    ...given,
    grows: [kind],
    readsGrowth: (growth) => read(growth as Of<K>),
    missing: (context) => (context.regrowing || from(context).length >= least ? null : needed),
    ...(missing ? { missing } : {}),
    command(values, context) {
      const { regrowing } = context;
      if (regrowing?.grown) return regrowth(regrowing, make(values, sourcesOf(regrowing.grown), context));
      const sources = from(context).slice(0, most);
      if (sources.length < least) return null;
      return { kind: "grow", growth: make(values, sources.map((p) => p.id), context), name: null };
    },
  });
}
