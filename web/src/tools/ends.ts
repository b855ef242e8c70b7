/** What the tools that join two ends share. */
import { useEnds } from "../live/ends";
import type { Target } from "./tool";

export function bothEnds(target: Target | null) {
  if (!target || (target.picked.kind !== "face" && target.picked.kind !== "edge")) return null;
  const { far } = useEnds.getState();
  return { ...target, far: far && { piece: far.piece, picked: { kind: far.kind, ids: far.ids } } };
}
