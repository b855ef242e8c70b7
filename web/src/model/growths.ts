/** What a grown piece grows from. */
import type { AnyGrowth, Command, PieceState } from "./types";

/** The command that lets a grown piece grow otherwise, or null where it grows so already. */
export function regrowth(piece: PieceState, growth: AnyGrowth): Command | null {
  const before = piece.grown as Record<string, unknown> | null;
  const alike = Object.entries(growth).every(([key, value]) => JSON.stringify(value) === JSON.stringify(before?.[key]));
  return alike ? null : { kind: "regrow", piece: piece.id, growth };
}

/** The ids of the pieces that it grows from. */
export function sourcesOf(growth: AnyGrowth): string[] {
  if (growth.kind === "laid") return [growth.curve ?? "", growth.onto ?? ""];
  if (growth.kind === "combined") return [growth.first ?? "", growth.second ?? ""];
  if (growth.kind === "sweep") return [growth.rail ?? "", ...(growth.profiles ?? []), ...(growth.second ? [growth.second] : [])];
  if (growth.kind === "loft" || growth.kind === "skin") return [...(growth.curves ?? [])];
  if (growth.kind === "repeat") return [...(growth.originals ?? []), ...(growth.way === "curve" && growth.rail ? [growth.rail] : [])];
  if (growth.kind === "strip" && growth.other) return [growth.source ?? "", growth.other];
  return [growth.source ?? ""];
}
