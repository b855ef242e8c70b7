/** The shape that the tools of proofs share: one card to ask, and the same to ask something else. */
import type { Fields, ValuesOf } from "../../model/fields";
import { holderOf } from "../../model/growths";
import { type Tool, verb, type VerbOf } from "../../model/tool";
import type { AnyProof, PieceState } from "../../model/types";
import type { Context } from "../../model/context";
import { choice } from "./fields";

type Kind = AnyProof["kind"];
type Of<K extends Kind> = Extract<AnyProof, { kind: K }>;

type Given<F extends Fields, K extends Kind> = Pick<VerbOf<F>, "id" | "name" | "order" | "icon" | "hint" | "fields"> &
  Partial<Pick<VerbOf<F>, "also" | "shown" | "typed" | "moreWords" | "section" | "missing" | "below" | "mends">> & {
    kind: K;
    /** Whether it can be asked of a body, too: what followers make of the form. */
    ofBody?: boolean;
    /** What is asked by these values, or null while they ask nothing. */
    make(values: ValuesOf<F>, context: Context): Omit<Of<K>, "id" | "piece"> | null;
    read(proof: Of<K>): Partial<ValuesOf<F>>;
  };

/** The piece that is asked: the one in hand; of stones the form that holds them. */
export const asked = ({ piece, design, proving }: Context): PieceState | null => {
  const own = proving ? (design?.pieces.find((p) => p.id === proving.piece) ?? null) : piece;
  return holderOf(own, design?.pieces);
};

const of = choice("Asked of", { body: "the body, after followers", form: "the form, before them" });
interface Asked {
  of?: unknown;
}

/** Whether the piece that is asked has followers that make something else of it. */
const hasBody = (context: Context): boolean => asked(context)?.followers.some((follower) => follower.on) ?? false;

export function proofTool<const F extends Fields, const K extends Kind>({ kind, ofBody = false, make, read, fields, shown, ...given }: Given<F, K>): Tool {
  return verb<Fields>({
    station: "prove",
    needs: "piece",
    eager: true,
    verb: "Keep asking",
    missing: (context) => (asked(context) ? (asked(context)?.curve ? "A curve has no surface to be proved: take a form in hand." : null) : undefined),
    ...(given as object),
    id: given.id,
    name: given.name,
    order: given.order,
    icon: given.icon,
    hint: given.hint,
    fields: ofBody ? { ...fields, of } : fields,
    shown: ofBody ? { ...(shown as object), of: (_: unknown, context: Context) => hasBody(context) } : (shown as object),
    proves: [kind],
    // What was changed is done; another can be asked right away.
    leaves: ({ proving }) => proving !== null,
    readsProof: (proof) => ({ ...read(proof as Of<K>), ...(ofBody ? { of: proof.of_body ? "body" : "form" } : {}) }),
    command(values, context) {
      const piece = asked(context);
      const made = piece && make(values as ValuesOf<F>, context);
      if (!piece || !made) return null;
      const { proving } = context;
      const proof = { ...made, id: proving?.id ?? "", piece: piece.id, of_body: ofBody && (values as Asked).of !== "form" } as AnyProof;
      return proving ? { kind: "change-proof", proof } : { kind: "add-proof", proof };
    },
  });
}
