/** How the proofs of the design stand, as last told by the live channel. */
import { create } from "zustand";
import type { ShownProof } from "../../model/types";

export const useProofs = create<{ list: ShownProof[] }>(() => ({ list: [] }));
