/** What stands in the way, as the service or this screen says it. */
import { create } from "zustand";
import type { Problem } from "../../model/types";

interface ProblemStore {
  problem: Problem | null;
  /** The piece that the problem's places belong to. */
  piece: string | null;
  /** Said before anything was changed by hand: a hint rather than a refusal. */
  soft: boolean;
  /** Said by this screen: what was asked for before that may still be answered, and does not take it back. */
  own: boolean;
}

export const useProblem = create<ProblemStore>(() => ({ problem: null, piece: null, soft: false, own: false }));

export const say = (problem: Problem | null, piece: string | null = null): void => useProblem.setState({ problem, piece, soft: false, own: true });

/** Something is asked for anew: what this screen said of what was done before is over. */
export const unsay = (): void => {
  if (useProblem.getState().own) useProblem.setState({ problem: null, piece: null, own: false });
};

/** A preview can be shown: what the service had against one is over. */
export const overcome = (): void => {
  if (!useProblem.getState().own) useProblem.setState({ problem: null, piece: null });
};
