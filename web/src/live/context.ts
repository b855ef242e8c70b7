/** How things stand on this screen, as a tool is handed them. */
import type { Context, Placing, Target } from "../model/context";
import { middleOfCages, selectionFrame } from "../model/measure";
import { commandOf, missingFor } from "../model/tool";
import type { Command, Kind } from "../model/types";
import type { Frame } from "../model/vec";
import { pieces } from "./pieces";
import { railNow } from "./rails";
import { useBodies } from "./stores/bodies";
import { useCurves } from "./stores/curves";
import { pieceNamed, useDesign } from "./stores/design";
import { useEnds } from "./stores/ends";
import { useFollowers } from "./stores/followers";
import { usePicking } from "./stores/picking";
import { reachOn } from "./stores/reach";
import { toolInHand, useSession } from "./stores/session";
import { useShow } from "./stores/show";
import { useSketch } from "./stores/sketch";
import { view } from "./stores/view";

/** What is picked, for a command. */
export function target(): Target | null {
  const { piece, picked, pickKind, others } = usePicking.getState();
  if (piece === null || !picked.length) return null;
  return { piece, picked: { kind: pickKind, ids: picked }, ...(pickKind === "piece" && others.length ? { others } : {}) };
}

/** What is picked as it is shown: of a preview what it leads to, since its elements may be others. */
export function picksShown(): { kind: Kind; ids: number[] } {
  const { piece, pickKind, picked } = usePicking.getState();
  const next = useDesign.getState().preview?.selected;
  return next && next.piece === piece && pickKind !== "piece" ? { kind: next.kind, ids: next.ids } : { kind: pickKind, ids: picked };
}

/** About what, along which axes and how far the tool in hand places things. */
export function placing(): Placing {
  const { piece, pickKind, picked, others } = usePicking.getState();
  const { orientation, edgeFrame, pivot } = useShow.getState();
  const cage = (id: string | null) => (id ? pieces.byId.get(id)?.cage : undefined);
  const own = cage(piece);
  let frame: Frame | null = null;
  if (orientation === "view") frame = view.frame;
  else if (orientation === "edge") frame = edgeFrame;
  else if (orientation === "selection" && own && picked.length) frame = selectionFrame(own, pickKind, picked);
  // Several pieces go about their common middle, not each about its own.
  const common = !pivot && pickKind === "piece" && others.length ? middleOfCages([piece, ...others].map(cage)) : null;
  return { pivot: pivot ?? common, frame, reach: reachOn(piece) };
}

export function contextNow(): Context {
  const { design, preview } = useDesign.getState();
  const { piece, pickKind, picked } = usePicking.getState();
  const { reference, section } = useShow.getState();
  const { editing, regrowing, proving, solids } = useFollowers.getState();
  return {
    design,
    preview,
    piece: pieceNamed(piece),
    pickKind,
    picked,
    target: target(),
    placing: placing(),
    view,
    sketch: useSketch.getState(),
    values: useSession.getState().values,
    far: useEnds.getState().far,
    editing,
    regrowing: pieceNamed(regrowing),
    proving,
    solids,
    body: piece ? useBodies.getState().settled[piece] : undefined,
    rail: railNow(),
    reference,
    section,
    curveSection: useCurves.getState().section,
    arrays: (id) => pieces.byId.get(id),
  };
}

/** What the tool in hand still needs to be picked, in words. */
export function missing(): string | null {
  const tool = toolInHand();
  return tool && missingFor(tool, contextNow());
}

/** The command that the tool's values and the selection add up to. */
export const commandNow = (): Command | null => commandOf(toolInHand(), useSession.getState().values, contextNow());
