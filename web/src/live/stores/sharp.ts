/** The sharp lines of a component that a card shows: of which one, and from how many degrees. */
import { create } from "zustand";
import type { SharpLines } from "../../model/tool";

export const useSharp = create<{ shown: SharpLines | null }>(() => ({ shown: null }));
