/** What stands in the way, as the service or this screen says it. */
import { create } from "zustand";
import type { Problem } from "../../model/types";

interface ProblemStore {
  problem: Problem | null;
  /** The piece that the problem's places belong to. */
  piece: string | null;
  /** Said before anything was changed by hand: a hint rather than a refusal. */
  soft: boolean;
}

export const useProblem = create<ProblemStore>(() => ({ problem: null, piece: null, soft: false }));

export const say = (problem: Problem | null, piece: string | null = null): void => useProblem.setState({ problem, piece, soft: false });
