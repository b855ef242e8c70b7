/** What a proof asks of as a number all over a form: which is wanted, and as last told by the live channel. */
import { create } from "zustand";
import type { ShownMap } from "../../model/types";

export const useMap = create<{ wanted: string | null; map: ShownMap | null }>(() => ({ wanted: null, map: null }));
