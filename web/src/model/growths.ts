/** What a grown piece grows from. */
import type { AnyGrowth } from "./types";

/** The ids of the pieces that it grows from. */
export function sourcesOf(growth: AnyGrowth): string[] {
  if (growth.kind === "loft") return [...(growth.curves ?? [])];
  if (growth.kind === "repeat") return [...(growth.originals ?? []), ...(growth.way === "curve" && growth.rail ? [growth.rail] : [])];
  if (growth.kind === "strip" && growth.other) return [growth.source ?? "", growth.other];
  return [growth.source ?? ""];
}
