/** What the tools of settings share: whose stones they hold, and how close. */
import type { Context } from "../../model/context";
import { holderOf } from "../../model/growths";
import type { Fields, ValuesOf } from "../../model/fields";
import type { Tool } from "../../model/tool";
import type { AnyFollower, PieceState } from "../../model/types";
import { list } from "./fields";
import { followerTool, length } from "./follower";

/** Those followers that name stones. */
type Holding<F> = F extends { kind: string } ? ("stones" extends keyof F ? F : never) : never;
type SettingKind = Holding<AnyFollower>["kind"];
type Of<K extends SettingKind> = Extract<AnyFollower, { kind: K }>;

/** The form in hand, or the one that the stones in hand lie on. */
const formInHand = ({ piece, design }: Context): PieceState | null => holderOf(piece, design?.pieces);

/** Stones that could be held by the form in hand: those that lie on it first. */
function stonesAt(context: Context): { id: string; words: string }[] {
  const form = formInHand(context);
  const all = (context.design?.pieces ?? []).filter((p) => p.grown?.kind === "stones");
  const rank = (p: PieceState) => (p.id === context.piece?.id ? 0 : holderOf(p, context.design?.pieces)?.id === form?.id ? 1 : 2);
  return [...all].sort((a, b) => rank(a) - rank(b)).map((p) => ({ id: p.id, words: p.name }));
}

const common = {
  stones: list("Stones", stonesAt),
  clearance: length("Clearance", 0.02, { step: 0.01, min: 0, max: 1, more: true, help: "between stone and seat" }),
};

type Given<F extends Fields, K extends SettingKind> = Omit<Parameters<typeof followerTool<F, K>>[0], "kinds" | "make" | "read" | "section"> & {
  kind: K;
  make(values: ValuesOf<F>): Omit<Of<K>, "id" | "name" | "on" | "stones" | "clearance">;
  read(follower: Of<K>): Partial<ValuesOf<F>>;
};

export function settingTool<const F extends Fields, const K extends SettingKind>({ kind, fields, make, read, ...given }: Given<F, K>): Tool {
  const { stones, clearance } = common;
  type All = ValuesOf<F> & ValuesOf<typeof common>;
  return followerTool<Fields, K>({
    ...(given as object as Omit<Parameters<typeof followerTool<Fields, K>>[0], "kinds" | "make" | "read" | "fields">),
    section: "Stones",
    fields: { stones, ...fields, clearance },
    kinds: [kind],
    moreWords: "Clearance…",
    on: formInHand,
    missing: (context) => (stonesAt(context).length ? (formInHand(context) ? null : "Take the form or its stones in hand first.") : "Lay stones on the form first."),
    make(values, _piece, context) {
      const v = values as All;
      const held = v.stones || stonesAt(context)[0]?.id;
      return held ? ({ ...make(v), stones: held, clearance: v.clearance } as never) : null;
    },
    read: (follower) => {
      const { stones: held = "", clearance: wide = 0.02 } = follower as { stones?: string; clearance?: number };
      return { ...read(follower), stones: held, clearance: wide };
    },
  });
}
