/** The dimensions that are drawn: of pieces that are shown, with their figures as they are written. */
import type { AnyProof, ShownProof } from "../model/types";
import { lengthWords, trimmed, type Unit } from "../model/units";
import { useDesign } from "./stores/design";
import { useProofs } from "./stores/proofs";
import { useShow } from "./stores/show";

export type ShownDimension = ShownProof & { drawn: NonNullable<ShownProof["drawn"]>; figure: number };

export function dimensionsShown(): ShownDimension[] {
  if (!useShow.getState().dimensions) return [];
  const { design, preview } = useDesign.getState();
  const hidden = new Set((preview ?? design)?.pieces.flatMap((piece) => (piece.visible ? [] : [piece.id])));
  return useProofs.getState().list.filter((proof): proof is ShownDimension => proof.drawn !== null && proof.figure !== null && !hidden.has(proof.piece));
}

/** Such as `⌀ 24 mm`. */
export function figureWords({ figure, drawn }: ShownDimension, unit: Unit): string {
  const words = drawn.unit === "°" ? `${trimmed(figure, 2)}°` : lengthWords(figure, unit);
  return drawn.sign ? `${drawn.sign} ${words}` : words;
}

/** What the design keeps of it; nothing while it is only previewed. */
export const keptDimension = (id: string): AnyProof | undefined => useDesign.getState().design?.proofs.find((proof) => proof.id === id);
