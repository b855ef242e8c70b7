/** The shape that the tools of followers share: one card to add one, and the same to change it. */
import type { Context } from "../../model/context";
import type { Fields, NumberField, ValuesOf } from "../../model/fields";
import { type Tool, verb, type VerbOf } from "../../model/tool";
import type { AnyFollower, PieceState } from "../../model/types";
import type { Vec } from "../../model/vec";
import { length as lengthField } from "./fields";

type Kind = AnyFollower["kind"];
type Of<K extends Kind> = Extract<AnyFollower, { kind: K }>;

type Given<F extends Fields, K extends Kind> = Pick<VerbOf<F>, "id" | "name" | "order" | "icon" | "hint" | "fields"> &
  Partial<Pick<VerbOf<F>, "also" | "shown" | "below" | "grips" | "pointing" | "moreWords" | "typed" | "section" | "missing">> & {
    kinds: readonly K[];
    /** The piece that it is to work on, where that is not the one in hand. */
    on?(context: Context): PieceState | null;
    /** The follower for these values, or null while they make none. */
    make(values: ValuesOf<F>, piece: PieceState, context: Context): Omit<Of<K>, "id" | "name" | "on"> | null;
    read(follower: Of<K>, context: Context): Partial<ValuesOf<F>>;
  };

export function followerTool<const F extends Fields, const K extends Kind>({ kinds, make, read, on = ({ piece }) => piece, ...given }: Given<F, K>): Tool {
  return verb<F>({
    station: "make",
    section: "Followers",
    needs: "piece",
    eager: true,
    then: "solid",
    verb: "Apply",
    ...given,
    follows: [...kinds],
    reads: (follower, context) => read(follower as Of<K>, context),
    command(values, context) {
      const { editing } = context;
      const piece = on(context);
      const made = piece && make(values, piece, context);
      if (!piece || !made) return null;
      if (editing?.piece === piece.id) {
        const { id, name, on } = editing.follower;
        return { kind: "change-follower", piece: piece.id, follower: { ...made, id, name, on } as AnyFollower };
      }
      return { kind: "add-follower", piece: piece.id, follower: { ...made, id: "", name: "", on: true } as AnyFollower, before: null };
    },
  });
}

/** A length of a follower: finer steps than those of forms. */
export const length = (label: string, initial: number, more: Partial<NumberField> = {}): NumberField => lengthField(label, initial, { step: 0.5, ...more });

/** A point, by its three coordinates. */
export const point = { x: length("x", 0, { step: 1 }), y: length("y", 0, { step: 1 }), z: length("z", 0, { step: 1 }) };

export const pointOf = (v: ValuesOf<typeof point>): Vec => [v.x, v.y, v.z];
export const pointValues = ([x, y, z]: readonly number[] = [0, 0, 0]): ValuesOf<typeof point> => ({ x, y, z });

/** Pieces of the design but the one in hand. */
export const otherPieces = ({ design, piece }: Context): PieceState[] => (design?.pieces ?? []).filter((p) => p.id !== piece?.id);
