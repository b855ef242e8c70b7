/** From a proof that fails to what would mend it: its place in hand, and the tool that changes it. */
import { facesAt } from "../model/facesAt";
import type { Mending } from "../model/tool";
import type { AnyProof, Place } from "../model/types";
import { pick, setPickKind } from "./picks";
import { pieces } from "./pieces";
import { useDesign } from "./stores/design";
import { usePicking } from "./stores/picking";
import { tools } from "./stores/session";
import { hasPlace, showPlace } from "./stores/shown";
import { editFollower, takeTool } from "./tooling";

/** Whether there is a tool for it. */
export const canMend = (proof: AnyProof): boolean => tools().forProof(proof)?.mends !== undefined;

export function mend(proof: AnyProof, place: Partial<Place>): void {
  const known = tools().forProof(proof)?.mends;
  const mends = typeof known === "function" ? known(place) : known;
  const id = proof.piece ?? null;
  const piece = useDesign.getState().design?.pieces.find((one) => one.id === id);
  if (!mends || !piece) return;
  // What a follower has made wrong is mended there.
  const follower = proof.of_body ? piece.followers.find((one) => one.on && one.kind === mends.follower) : undefined;
  if (follower) editFollower(piece.id, follower);
  else {
    usePicking.setState({ piece: id, picked: [], others: [] });
    setPickKind(mends.picks);
    pick(id, atFault(piece.id, place, mends.picks));
    takeTool(mends.tool);
  }
  if (hasPlace(place)) showPlace(id, place);
}

function atFault(piece: string, { edges, faces, points }: Partial<Place>, kind: Mending["picks"]): number[] {
  if (kind === "piece") return [0];
  if (kind === "edge") return edges ?? [];
  const surface = pieces.byId.get(piece)?.surface;
  return faces?.length ? faces : surface ? facesAt(points ?? [], surface) : [];
}
