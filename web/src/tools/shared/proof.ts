/** The shape that the tools of proofs share: one card to ask, and the same to ask something else. */
import type { Fields, ValuesOf } from "../../model/fields";
import { holderOf } from "../../model/growths";
import { type Tool, verb, type VerbOf } from "../../model/tool";
import type { AnyProof, PieceState } from "../../model/types";
import type { Context } from "../../model/context";

type Kind = AnyProof["kind"];
type Of<K extends Kind> = Extract<AnyProof, { kind: K }>;

type Given<F extends Fields, K extends Kind> = Pick<VerbOf<F>, "id" | "name" | "order" | "icon" | "hint" | "fields"> &
  Partial<Pick<VerbOf<F>, "also" | "shown" | "typed" | "moreWords" | "section" | "missing" | "below">> & {
    kind: K;
    /** What is asked by these values, or null while they ask nothing. */
    make(values: ValuesOf<F>, context: Context): Omit<Of<K>, "id" | "piece"> | null;
    read(proof: Of<K>): Partial<ValuesOf<F>>;
  };

/** The piece that is asked: the one in hand; of stones the form that holds them. */
export const asked = ({ piece, design, proving }: Context): PieceState | null => {
  const own = proving ? (design?.pieces.find((p) => p.id === proving.piece) ?? null) : piece;
  return holderOf(own, design?.pieces);
};

export function proofTool<const F extends Fields, const K extends Kind>({ kind, make, read, ...given }: Given<F, K>): Tool {
  return verb<F>({
    station: "prove",
    needs: "piece",
    eager: true,
    verb: "Keep asking",
    missing: (context) => (asked(context) ? (asked(context)?.curve ? "A curve has no surface to be proved: take a form in hand." : null) : undefined),
    ...given,
    proves: [kind],
    // What was changed is done; another can be asked right away.
    leaves: ({ proving }) => proving !== null,
    readsProof: (proof) => read(proof as Of<K>),
    command(values, context) {
      const piece = asked(context);
      const made = piece && make(values, context);
      if (!piece || !made) return null;
      const { proving } = context;
      const proof = { ...made, id: proving?.id ?? "", piece: piece.id } as AnyProof;
      return proving ? { kind: "change-proof", proof } : { kind: "add-proof", proof };
    },
  });
}
