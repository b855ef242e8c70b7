/** The smallest gap between the images of each repeat, as last told by the live channel. */
import { create } from "zustand";
import type { ShownBore, ShownGap, ShownProof, ShownStones } from "../../model/types";

export const useGaps = create<{ list: ShownGap[] }>(() => ({ list: [] }));

/** How the stones of each piece lie, as last told. */
export const useStones = create<{ list: ShownStones[] }>(() => ({ list: [] }));

/** The bores of pieces, as last told. */
export const useBores = create<{ list: ShownBore[] }>(() => ({ list: [] }));

/** How the proofs of the design stand, as last told. */
export const useProofs = create<{ list: ShownProof[] }>(() => ({ list: [] }));
