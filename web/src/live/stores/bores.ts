/** The bores of pieces, as last told by the live channel. */
import { create } from "zustand";
import type { ShownBore } from "../../model/types";

export const useBores = create<{ list: ShownBore[] }>(() => ({ list: [] }));
