/** By how many per cent files are larger than the form, for what shrinks when it is cast. */
import { create } from "zustand";

export const useLarger = create<{ larger: number }>(() => ({ larger: 0 }));

/** What names of files say of it. */
export const largerWords = (larger: number): string => (larger ? `, ${larger} % larger` : "");
