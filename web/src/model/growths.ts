/** What a grown piece grows from. */
import type { AnyGrowth, Command, PieceState } from "./types";

/** The command that lets a grown piece grow otherwise, or null where it grows so already. */
export function regrowth(piece: PieceState, growth: AnyGrowth): Command | null {
  const before = piece.grown as Record<string, unknown> | null;
  const alike = Object.entries(growth).every(([key, value]) => JSON.stringify(value) === JSON.stringify(before?.[key]));
  return alike ? null : { kind: "regrow", piece: piece.id, growth };
}

/** The form that stones lie on; of any other piece itself. */
export function holderOf(piece: PieceState | null | undefined, pieces: readonly PieceState[] | undefined): PieceState | null {
  const grown = piece?.grown;
  const host = grown?.kind === "stones" ? pieces?.find((p) => p.id === grown.host) : null;
  return host ?? piece ?? null;
}

/** The ids of the pieces that it grows from. */
export function sourcesOf(growth: AnyGrowth): string[] {
  switch (growth.kind) {
    case "laid": return named(growth.curve, growth.onto);
    case "combined": return named(growth.first, growth.second);
    case "sweep": return named(growth.rail, ...(growth.profiles ?? []), growth.second);
    case "loft":
    case "skin": return named(...(growth.curves ?? []));
    case "repeat": return named(...(growth.originals ?? []), growth.way === "curve" ? growth.rail : "");
    case "strip": return named(growth.source, growth.other);
    case "stones": return named(growth.host, growth.rail);
    default: return named(growth.source);
  }
}

const named = (...ids: (string | undefined)[]): string[] => ids.filter((id): id is string => !!id);
