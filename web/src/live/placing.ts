/** Where a tool's own axes and middle lie, how far it reaches, and what is picked while a preview is shown. */
import { Box3, Vector3 } from "three";
import type { Placing } from "../tools/tool";
import { boxOf, selectionFrame } from "../viewport/measure";
import { type Frame, useLook, type Vec } from "./look";
import { pieces } from "./pieces";
import { reachOn } from "./reach";
import type { Kind, PreviewState } from "./types";

interface Picks {
  piece: string | null;
  pickKind: Kind;
  picked: number[];
  others: string[];
  preview: PreviewState | null;
}

/** Where the tools' own axes and middle lie; the viewport tells the directions of the view. */
export const viewFrame: { current: Frame } = { current: [[1, 0, 0], [0, 1, 0], [0, 0, 1]] };

/** Where the eye stands; null where it looks from infinitely far. */
export const viewEye: { current: Vec | null } = { current: null };

/** Millimetres to a pixel in the middle of the view. */
export const viewPixel = { current: 1 };

/** What is picked as it is shown: of a preview what it leads to, since its elements may be others. */
export function picksShown({ preview, piece, pickKind, picked }: Picks): { kind: Kind; ids: number[] } {
  const next = preview?.selected;
  return next && next.piece === piece && pickKind !== "piece" ? { kind: next.kind, ids: next.ids } : { kind: pickKind, ids: picked };
}

export function placingOf({ piece, pickKind, picked, others }: Picks): Placing {
  const { orientation, edgeFrame } = useLook.getState();
  let { pivot } = useLook.getState();
  const arrays = piece ? pieces.byId.get(piece) : undefined;
  if (!pivot && pickKind === "piece" && others.length) pivot = middleOfPieces([piece, ...others]);
  let frame: Frame | null = null;
  if (orientation === "view") frame = viewFrame.current;
  else if (orientation === "edge") frame = edgeFrame;
  else if (orientation === "selection" && arrays && picked.length) frame = selectionFrame(arrays.cage, pickKind, picked);
  return { pivot, frame, reach: reachOn(piece) };
}

/** Several pieces go about their common middle, not each about its own. */
function middleOfPieces(ids: (string | null)[]): Vec | null {
  const box = new Box3();
  for (const id of ids) {
    const cage = id ? pieces.byId.get(id)?.cage : undefined;
    if (cage) box.union(boxOf(cage, Array(cage.positions.length / 3).keys()));
  }
  return box.isEmpty() ? null : (box.getCenter(new Vector3()).toArray() as Vec);
}
