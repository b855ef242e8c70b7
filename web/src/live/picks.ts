/** Picking: by hand, by kinds and by rules. */
import type { Kind, PickRule } from "../model/types";
import { bend, callOff, weigh } from "./line";
import { Refused, service } from "./service";
import { useDesign } from "./stores/design";
import { setHover, usePicking } from "./stores/picking";
import { say, unsay, useProblem } from "./stores/problem";
import { useSession } from "./stores/session";
import { afresh, showPreview } from "./tooling";

interface Picks {
  kind: Kind;
  ids: number[];
}

/** Do something that asks the service, and say what stands in the way. */
export async function attempt(act: () => Promise<unknown>): Promise<void> {
  unsay();
  try {
    await act();
  } catch (error) {
    if (error instanceof Refused) say(error.problem, usePicking.getState().piece);
    else throw error;
  }
}

export function setPickKind(pickKind: Kind): void {
  const { pickKind: was, picked, piece } = usePicking.getState();
  if (pickKind === was) return;
  // What was picked stays meant: as elements of the new kind where the rules know how.
  const from = { kind: was, ids: picked };
  usePicking.setState({ pickKind, picked: [], others: [] });
  setHover(null);
  if (pickKind === "piece") {
    if (picked.length) pick(piece, [0]);
  } else if (picked.length && was !== "piece") void pickBy({ rule: "convert", to: pickKind }, from);
}

export const setThrough = (through: boolean): void => usePicking.setState({ through });

export function pick(piece: string | null, ids: number[], others: string[] = []): void {
  const before = usePicking.getState();
  const { touched, typedSince } = useSession.getState();
  // Taking one more, or one less, goes on with the number that was typed.
  const goesOn = touched && ids.length > 0 && (piece ?? before.piece) === before.piece && isPartOf(before.picked, ids);
  const keeps = typedSince || goesOn;
  callOff();
  usePicking.setState({ piece: piece ?? before.piece, picked: ids, others, asked: null });
  useSession.setState({ touched: keeps, typedSince: false });
  useDesign.setState({ preview: null });
  useProblem.setState({ problem: null });
  if (keeps) showPreview();
  else afresh();
  weigh();
  bend();
}

/** Pick by a rule, from what is picked now; `from` stands in for it. True where it was: a later pick overtakes it. */
export async function pickBy(rule: PickRule, from?: Picks): Promise<boolean> {
  const { piece, picked, pickKind } = usePicking.getState();
  const { design } = useDesign.getState();
  if (!design || !piece) return false;
  usePicking.setState({ asked: picked });
  let overtaken = false;
  await attempt(async () => {
    const found = await service.pick(design.id, piece, rule, from ?? { kind: pickKind, ids: picked });
    const now = usePicking.getState();
    const changed = useDesign.getState().design?.revision !== design.revision;
    overtaken = changed || now.asked !== picked || now.picked !== picked || now.piece !== piece;
    if (overtaken) return;
    usePicking.setState({ pickKind: found.kind });
    pick(piece, found.ids);
  });
  if (usePicking.getState().asked === picked) usePicking.setState({ asked: null });
  return !overtaken;
}

/** Whether one of two sets, neither of them empty, holds the other whole. */
function isPartOf(a: number[], b: number[]): boolean {
  const [few, many] = a.length < b.length ? [a, new Set(b)] : [b, new Set(a)];
  return few.length > 0 && few.every((id) => many.has(id));
}
