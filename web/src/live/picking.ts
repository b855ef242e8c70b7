/** What is picked, and how it is picked by kinds and rules. */
import { Refused, service } from "./service";
import type { Kind, PickRule, Problem } from "./types";

export type Hover = { piece: string; kind: Kind; id: number } | null;
type Picks = { kind: Kind; ids: number[] };

export interface Picking {
  pickKind: Kind;
  through: boolean;
  piece: string | null;
  picked: number[];
  /** Further pieces that are picked as wholes, beside `piece`. */
  others: string[];
  hover: Hover;
  /** What was picked when a rule was asked for that is not answered yet. */
  asked: number[] | null;
  /** Something was typed since a click asked for the design as it stands: the pick that comes then leaves it. */
  typedSince: boolean;

  setPickKind(kind: Kind): void;
  setThrough(through: boolean): void;
  setHover(hover: Hover): void;
  pick(piece: string | null, ids: number[], others?: string[]): void;
  /** Pick by a rule, from what is picked now; `from` stands in for it. True where it was: a later pick overtakes it. */
  pickBy(rule: PickRule, from?: Picks): Promise<boolean>;
  /** Do something that asks the service, and say what stands in the way. */
  attempt(act: () => Promise<unknown>): Promise<void>;
}

/** The rest of the state that picks change. */
interface Changed extends Picking {
  touched: boolean;
  preview: null;
  problem: Problem | null;
  problemPiece: string | null;
}

interface Rest extends Omit<Changed, "preview"> {
  readonly design: { id: string; revision: number } | null;
  weigh(): void;
  bend(): void;
}

interface Previews {
  callOff(): void;
  /** Numbers as they are before anything was typed, and what tools show then. */
  afresh(): void;
  /** What was set, shown on what is picked. */
  showPreview(): void;
}

export const nothingPicked = { pickKind: "face" as Kind, through: false, piece: null, picked: [], others: [], hover: null, asked: null, typedSince: false };

export function pickingOf(set: (part: Partial<Changed>) => void, get: () => Rest, previews: Previews): Omit<Picking, keyof typeof nothingPicked> {
  const attempt = async (act: () => Promise<unknown>) => {
    try {
      await act();
    } catch (error) {
      if (error instanceof Refused) set({ problem: error.problem, problemPiece: get().piece });
      else throw error;
    }
  };
  return {
    attempt,
    setPickKind(pickKind) {
      const { pickKind: was, picked } = get();
      if (pickKind === was) return;
      // What was picked stays meant: as elements of the new kind where the rules know how.
      const from = { kind: was, ids: picked };
      set({ pickKind, picked: [], others: [], hover: null });
      if (pickKind === "piece") {
        if (picked.length) get().pick(get().piece, [0]);
      } else if (picked.length && was !== "piece") void get().pickBy({ rule: "convert", to: pickKind }, from);
    },
    setThrough: (through) => set({ through }),
    setHover: (hover) => {
      const now = get().hover;
      if (now?.id !== hover?.id || now?.piece !== hover?.piece || now?.kind !== hover?.kind) set({ hover });
    },
    pick(piece, ids, others = []) {
      const before = get();
      // Taking one more, or one less, goes on with the number that was typed.
      const goesOn = before.touched && ids.length > 0 && (piece ?? before.piece) === before.piece && isPartOf(before.picked, ids);
      const keeps = before.typedSince || goesOn;
      previews.callOff();
      set({ piece: piece ?? before.piece, picked: ids, others, touched: keeps, preview: null, problem: null, asked: null, typedSince: false });
      if (keeps) previews.showPreview();
      else previews.afresh();
      get().weigh();
      get().bend();
    },
    async pickBy(rule, from) {
      const { design, piece, picked, pickKind } = get();
      if (!design || !piece) return false;
      set({ asked: picked });
      let overtaken = false;
      await attempt(async () => {
        const found = await service.pick(design.id, piece, rule, from ?? { kind: pickKind, ids: picked });
        const now = get();
        overtaken = now.asked !== picked || now.picked !== picked || now.piece !== piece || now.design?.revision !== design.revision;
        if (overtaken) return;
        set({ pickKind: found.kind });
        now.pick(piece, found.ids);
      });
      if (get().asked === picked) set({ asked: null });
      return !overtaken;
    },
  };
}

/** Whether one of two sets, neither of them empty, holds the other whole. */
function isPartOf(a: number[], b: number[]): boolean {
  const [few, many] = a.length < b.length ? [a, new Set(b)] : [b, new Set(a)];
  return few.length > 0 && few.every((id) => many.has(id));
}
