/** What a grown piece grows from. */
import type { AnyGrowth, Command, DesignState, PieceState, PreviewState } from "./types";

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
    case "threaded":
    case "skin": return named(...(growth.curves ?? []));
    case "repeat": return named(...(growth.originals ?? []), growth.way === "curve" ? growth.rail : "");
    case "strip": return named(growth.source, growth.other || growth.surface);
    case "stones": return named(growth.host, growth.rail);
    default: return named(growth.source);
  }
}

const named = (...ids: (string | undefined)[]): string[] => ids.filter((id): id is string => !!id);

/** The ids of the pieces that a preview lets grow, or lets grow otherwise. */
export function growingIn(design: DesignState | null, preview: PreviewState | null): ReadonlySet<string> {
  const before = new Map(design?.pieces.map((piece) => [piece.id, JSON.stringify(piece.grown ?? null)]) ?? []);
  const found = preview?.pieces.filter((piece) => piece.grown && before.get(piece.id) !== JSON.stringify(piece.grown)) ?? [];
  return new Set(found.map((piece) => piece.id));
}
