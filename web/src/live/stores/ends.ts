/** The end that was picked first, for the tools that join two: it waits while the other is picked, on any piece. */
import { create } from "zustand";
import type { End } from "../../model/context";

export const useEnds = create<{ far: End | null }>(() => ({ far: null }));
