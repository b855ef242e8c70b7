/** The line to the service for the open design: what is asked for over it, and whose turn it is. */
import { doesReach } from "../model/tool";
import { sticking } from "../model/parameters.generated";
import type { Command, DesignState } from "../model/types";
import type { Channel } from "./channel";
import { askedCurves, useCurves } from "./stores/curves";
import { useDesign } from "./stores/design";
import { useMap } from "./stores/map";
import { usePicking } from "./stores/picking";
import { unsay } from "./stores/problem";
import { reachOn, useReach } from "./stores/reach";
import { toolInHand, useSession } from "./stores/session";
import { useShow } from "./stores/show";
import { Turns } from "./turns";

let channel: Channel | null = null;
/** What was done last to what was picked. */
let last: Command | null = null;

export const turns = new Turns(() => useDesign.getState().connected);
/** Who waits for the answer of a number: for a step to be kept, or for the design to be shown as it stands. */
const waiting = new Map<number, (design: DesignState | null) => void>();

export function lay(next: Channel | null): void {
  channel = next;
  last = null;
  between = [];
  useMap.setState({ wanted: null, map: null });
}

/** The answer of a number has come; null where it was a refusal. */
export function answered(seq: number, design: DesignState | null): void {
  turns.answered(seq);
  waiting.get(seq)?.(design);
  waiting.delete(seq);
}

/** The connection broke: what was under way may have been kept or not. */
export function forgetWaiting(): void {
  turns.forget();
  for (const resolve of waiting.values()) resolve(null);
  waiting.clear();
}

export const isWaited = (): boolean => waiting.size > 0;
export const lastDone = (): Command | null => last;

function answerOf(seq: number): Promise<DesignState | null> {
  return seq ? new Promise((resolve) => waiting.set(seq, resolve)) : Promise.resolve(null);
}

/** The command as it keeps the surface on the scan, where that is asked for and the scan is still there. */
function held(command: Command): Command {
  const { stick } = useShow.getState();
  const there = useDesign.getState().design?.references.some((r) => r.id === stick && r.kind === "component" && r.scan);
  return stick && there && sticking.has(command.kind) ? ({ ...command, stick } as Command) : command;
}

/** Keep a command as a step, now, or instead of the present one. The answer is the design that it led to, or null where it was refused. */
export function commit(command: Command, instead = false): Promise<DesignState | null> {
  const { design } = useDesign.getState();
  if (!design || !channel) return Promise.resolve(null);
  const seq = channel.commit(design.revision, held(command), instead);
  turns.await(seq);
  if ("picked" in command) last = command;
  return answerOf(seq);
}

/** Keep a command as a step, when its turn has come. */
export const give = (command: Command): Promise<DesignState | null> =>
  new Promise((resolve) => turns.take(() => void commit(command).then(resolve)));

/** Drop a preview, also what is still on its way: coming late, it would stay. */
export function callOff(): number | undefined {
  if (useDesign.getState().preview || channel?.previewing) return channel?.cancel();
}

/** Show what a command would lead to; null shows the design as it stands. */
export function preview(command: Command | null): void {
  const { design } = useDesign.getState();
  if (!design) return;
  if (!command) return void callOff();
  unsay();
  channel?.preview(design.revision, held(command));
}

/** Drop a preview and wait until the design is shown as it stands: only then are elements what their numbers say. */
export function cleared(): Promise<unknown> {
  useSession.setState({ typedSince: false });
  return new Promise((resolve) =>
    turns.take(() => {
      const seq = callOff();
      if (seq) void answerOf(seq).then(resolve);
      else resolve(null);
    }),
  );
}

/** Show how far the reach carries from what is picked. */
export function weigh(): void {
  const { piece, picked, pickKind } = usePicking.getState();
  const reach = reachOn(piece);
  if (!reach || !piece || !picked.length || !doesReach(toolInHand())) return useReach.setState({ weights: null });
  channel?.weigh({ piece, picked: { kind: pickKind, ids: picked }, reach });
}

/** Show the curves that are asked for, of the piece in hand and the edges picked on it. */
export function bend(): void {
  const { piece, picked, pickKind } = usePicking.getState();
  const asked = askedCurves(piece, pickKind === "edge" ? picked : []);
  // Asked for nothing, nothing more is sent: what was shown goes by itself.
  if (asked || useCurves.getState().list.length) channel?.curves(asked);
}

/** Show pieces at a level of smoothness, or with null at the finest that is quick. */
export function smoothTo(level: number | null): void {
  channel?.smooth(level);
  useShow.setState({ level });
}

/** A new connection knows nothing of how this screen shows a design. */
export function tellAgain(): void {
  const { level } = useShow.getState();
  if (level !== null) channel?.smooth(level);
  if (between.length) channel?.gaps(between);
  const { wanted } = useMap.getState();
  if (wanted) channel?.map(wanted);
  bend();
}

/** Show what a proof asks of all over its form, or with null no more. */
export function mapOf(proof: string | null): void {
  useMap.setState({ wanted: proof, ...(proof ? {} : { map: null }) });
  channel?.map(proof);
}

let between: string[] = [];

/** Tell the gaps between these pieces from now on; between none, no more. */
export function gapsBetween(pieces: string[]): void {
  if (pieces.join() === between.join()) return;
  between = pieces;
  channel?.gaps(pieces);
}

/** Ask whether the kernel has made solids by now. */
export const lookForSolids = (): void => channel?.bodies();

/** Stop what the service is working on. */
export const stopWork = (): void => channel?.stop();
