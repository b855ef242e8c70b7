/** What the tools that join two ends share. */
import type { Context } from "../../model/context";

export function bothEnds({ target, far }: Context) {
  if (!target || (target.picked.kind !== "face" && target.picked.kind !== "edge")) return null;
  return { ...target, far: far && { piece: far.piece, picked: { kind: far.kind, ids: far.ids } } };
}
