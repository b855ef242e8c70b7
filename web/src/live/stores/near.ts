/** How near the pieces come to the components that they are built around, as last told by the live channel. */
import { create } from "zustand";
import type { Near } from "../../model/types";

export const useNear = create<{ list: Near[] }>(() => ({ list: [] }));
