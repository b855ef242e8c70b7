/** The shape that the tools of followers share: one card to add one, and the same to change it. */
import { useBench } from "../../live/bench";
import { useFollowers } from "../../live/followers";
import type { Vec } from "../../live/look";
import type { AnyFollower, Command, PieceState } from "../../live/types";
import { FollowerNote } from "../../panels/cards/FollowerNote";
import type { Field, Tool, Values } from "../tool";

type Given = Pick<Tool, "id" | "name" | "order" | "Icon" | "hint" | "fields"> & Partial<Pick<Tool, "Below" | "grips" | "pointing" | "moreWords" | "key" | "shift" | "typed">>;

interface Rules<K extends AnyFollower["kind"]> {
  kinds: K[];
  /** The follower for these values, or null while they make none. */
  make(values: Values, piece: PieceState): Omit<Extract<AnyFollower, { kind: K }>, "id" | "name" | "on"> | null;
  read(follower: Extract<AnyFollower, { kind: K }>): Values;
}

export const pieceInHand = (): PieceState | undefined => {
  const { design, piece } = useBench.getState();
  return design?.pieces.find((p) => p.id === piece);
};

export function followerTool<K extends AnyFollower["kind"]>(given: Given, rules: Rules<K>): Tool {
  return {
    station: "make",
    section: "Followers",
    needs: "piece",
    eager: true,
    once: true,
    verb: "Apply",
    ...given,
    Below: FollowerNote(given.Below),
    follows: rules.kinds,
    reads: (follower) => rules.read(follower as Extract<AnyFollower, { kind: K }>),
    command(values): Command | null {
      const piece = pieceInHand();
      if (!piece) return null;
      const made = rules.make(values, piece);
      if (!made) return null;
      const { editing } = useFollowers.getState();
      if (editing && editing.piece === piece.id) {
        const { id, name, on } = editing.follower;
        return { kind: "change-follower", piece: piece.id, follower: { ...made, id, name, on } as AnyFollower };
      }
      return { kind: "add-follower", piece: piece.id, follower: { ...made, id: "", name: "", on: true } as AnyFollower, before: null };
    },
  };
}

export const length = (name: string, label: string, initial: number, more: Partial<Field> = {}): Field => ({
  name, label, unit: "mm", initial, step: 0.5, ...more,
});

export const place = (when?: Field["when"]): Field[] => ["x", "y", "z"].map((axis) => length(axis, axis, 0, { step: 1, when }));

export const pointOf = (v: Values): Vec => [v.x, v.y, v.z];

