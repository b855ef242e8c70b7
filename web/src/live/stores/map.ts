/** What a proof asks of as a number all over a form: which is wanted, as last told by the live channel, and whether lines of the same value are drawn. */
import { create } from "zustand";
import type { ShownMap } from "../../model/types";

export const useMap = create<{ wanted: string | null; map: ShownMap | null; lines: boolean }>(() => ({ wanted: null, map: null, lines: false }));
