/** How the stones of each piece lie, as last told by the live channel. */
import { create } from "zustand";
import type { ShownStones } from "../../model/types";

export const useStones = create<{ list: ShownStones[] }>(() => ({ list: [] }));
