/** Lines along which a number is set by hand, as previews told them: they hold for as long as form and pick are the same. */
import type { Vec } from "../model/vec";
import { pieceNamed } from "./stores/design";
import { usePicking } from "./stores/picking";

export type Rail = [Vec, Vec];

const most = 32;
const rails = new Map<string, Rail>();

function keyNow(): string {
  const { piece, pickKind, picked } = usePicking.getState();
  return `${pieceNamed(piece)?.made_from} ${pickKind} ${picked.join()}`;
}

export function rememberRail(rail: Rail | null): void {
  if (!rail) return;
  rails.set(keyNow(), rail);
  const [oldest] = rails.keys();
  if (rails.size > most) rails.delete(oldest);
}

/** Also where no preview stands, as after an undo. */
export const railNow = (): Rail | null => rails.get(keyNow()) ?? null;
