/** The station, the tool in hand, and what its card says. */
import { create } from "zustand";
import { Registry } from "../../model/registry";
import type { StationId, Tool } from "../../model/tool";
import type { Values } from "../../model/values";

interface SessionStore {
  station: StationId;
  toolId: string | null;
  values: Values;
  /** Something was set by hand since the last step. */
  touched: boolean;
  /** Something was typed since a click asked for the design as it stands: the pick that comes then leaves it. */
  typedSince: boolean;
  /** What Enter keeps, of a card of its own. */
  entered: (() => void) | null;
}

export const useSession = create<SessionStore>(() => ({ station: "shape", toolId: null, values: {}, touched: false, typedSince: false, entered: null }));

let registry = new Registry([]);

/** The tools are handed in once, at the start. */
export function handIn(tools: Registry): void {
  registry = tools;
}

export const tools = (): Registry => registry;
export const toolInHand = (): Tool | null => registry.get(useSession.getState().toolId);
export const useTool = (): Tool | null => registry.get(useSession((s) => s.toolId));
