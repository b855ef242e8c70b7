/** The smallest gap between the images of each repeat, as last told by the live channel. */
import { create } from "zustand";
import type { ShownGap } from "../../model/types";

export const useGaps = create<{ list: ShownGap[] }>(() => ({ list: [] }));
