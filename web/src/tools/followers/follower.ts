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

const signed = ["+ x", "+ y", "+ z", "− x", "− y", "− z"];

export const directions: Vec[] = [[1, 0, 0], [0, 1, 0], [0, 0, 1], [-1, 0, 0], [0, -1, 0], [0, 0, -1]];

/** The index of the direction that comes nearest. */
export const nearestDirection = (along: number[]): number => {
  const dots = directions.map((d) => d[0] * along[0] + d[1] * along[1] + d[2] * along[2]);
  return dots.indexOf(Math.max(...dots));
};

export const towards = (name: string, label: string, initial: number, when?: Field["when"]): Field => ({
  name, label, unit: "", initial, step: 1, options: signed, when,
});

export const length = (name: string, label: string, initial: number, more: Partial<Field> = {}): Field => ({
  name, label, unit: "mm", initial, step: 0.5, ...more,
});

export const place = (when?: Field["when"]): Field[] => ["x", "y", "z"].map((axis) => length(axis, axis, 0, { step: 1, when }));

export const pointOf = (v: Values): Vec => [v.x, v.y, v.z];

