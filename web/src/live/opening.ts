/** The open design: its connection, what comes over it, and its steps. */
import { isEager } from "../model/tool";
import type { Frame, DesignState, Message } from "../model/types";
import type { Unit } from "../model/units";
import { Channel } from "./channel";
import { answered, bend, forgetWaiting, lay, tellAgain, turns, weigh } from "./line";
import { pieces } from "./pieces";
import { attempt } from "./picks";
import { rememberRail } from "./rails";
import { service } from "./service";
import { clearBodies, settleBodies, takeBodies } from "./stores/bodies";
import { useCurves } from "./stores/curves";
import { useDesign } from "./stores/design";
import { useEnds } from "./stores/ends";
import { useFollowers } from "./stores/followers";
import { useBores } from "./stores/bores";
import { useGaps } from "./stores/gaps";
import { useMap } from "./stores/map";
import { useProofs } from "./stores/proofs";
import { useStones } from "./stores/stones";
import { useNear } from "./stores/near";
import { setHover, usePicking } from "./stores/picking";
import { overcome, say, useProblem } from "./stores/problem";
import { useReach } from "./stores/reach";
import { toolInHand, useSession } from "./stores/session";
import { useShow } from "./stores/show";
import { showNothing } from "./stores/shown";
import { forgetNudges } from "./nudging";
import { eagerly, settled } from "./tooling";

/** Open a design; the answer closes it again. */
export function open(id: string): () => void {
  useDesign.setState({ id, design: null, gone: false, preview: null });
  useProblem.setState({ problem: null });
  usePicking.setState({ picked: [], others: [], piece: null });
  useSession.setState({ toolId: null });
  // What this screen remembers of one design means nothing in another.
  useShow.setState({ pivot: null, compare: null, isolated: false, glass: [], facets: [], section: null, reference: null, stick: null, plane: "ground" });
  useEnds.setState({ far: null });
  useReach.setState({ within: null, weights: null });
  useCurves.setState({ section: null, seam: false, edges: false, list: [] });
  useFollowers.setState({ editing: null, regrowing: null, proving: null, solids: [] });
  clearBodies();
  const channel = new Channel(id, { message, connected, gone: () => useDesign.setState({ gone: true }), outdated });
  lay(channel);
  return () => {
    channel.close();
    lay(null);
    pieces.clear();
    useDesign.setState({ design: null });
  };
}

function outdated(): void {
  const detail = "The application has been renewed since this page was loaded. Load the page again; your finished steps are safe.";
  useDesign.setState({ connected: false });
  say({ type: "/problems/outdated", title: "Renewed", status: 409, detail });
}

function connected(yes: boolean): void {
  useDesign.setState({ connected: yes, working: null });
  // What was under way may have been kept or not: the state that comes now tells.
  forgetWaiting();
  forgetNudges();
  if (yes) tellAgain();
}

function message(m: Message): void {
  if (m.type === "working") {
    const { seq, seconds, stoppable } = m;
    return useDesign.setState({ working: { seq, seconds: Math.round(seconds), stoppable } });
  }
  const { working } = useDesign.getState();
  if (working && m.type !== "bodies" && m.type !== "proofs" && (m.type === "problem" || m.type === "state" || m.seq === working.seq)) useDesign.setState({ working: null });
  if (m.type === "problem") return refused(m);
  if (m.type === "weights") return useReach.setState({ weights: m.weights });
  if (m.type === "found") return found(m);
  if (m.type === "gaps") return useGaps.setState({ list: m.gaps });
  if (m.type === "map") return useMap.setState({ map: m.map });
  if (m.type === "curves") return useCurves.setState({ list: m.curves });
  if (m.type === "proofs") {
    if (m.map !== undefined && useMap.getState().wanted) useMap.setState({ map: m.map });
    return fill(useProofs, m.proofs);
  }
  if (m.type === "bodies") return takeBodies(m, useDesign.getState().preview !== null);
  pieces.take(m);
  if (m.weights !== undefined) useReach.setState({ weights: m.weights });
  takeMeasured(m);
  if (m.type === "frame") {
    frame = m.seq;
    useDesign.setState({ preview: m.preview });
    rememberRail(m.preview.rail);
    overcome();
  } else {
    take(m.state);
    answered(m.seq, m.state);
  }
}

/** What is measured of a design comes beside it; of nothing as before no one is told. */
function takeMeasured(m: Frame): void {
  if (m.clearances) useNear.setState({ list: m.clearances });
  if (m.curves) useCurves.setState({ list: m.curves });
  if (m.map !== undefined && useMap.getState().wanted) useMap.setState({ map: m.map });
  fill(useProofs, m.proofs);
  fill(useBores, m.bores);
  fill(useStones, m.stones);
  fill(useGaps, m.gaps);
}

function fill<T>(store: { getState(): { list: T[] }; setState(next: { list: T[] }): void }, list: T[] | undefined): void {
  if (list && (list.length || store.getState().list.length)) store.setState({ list });
}

/** The number of the frame that is shown. */
let frame = 0;

/** Of the preview that is shown more is known now; one that has come and gone since does not matter. */
function found({ seq, notes, suspect }: Extract<Message, { type: "found" }>): void {
  const { preview } = useDesign.getState();
  if (preview && seq === frame) useDesign.setState({ preview: { ...preview, notes, suspect } });
}

function refused({ seq, problem }: Extract<Message, { type: "problem" }>): void {
  const { touched } = useSession.getState();
  if (problem.type !== "/problems/stopped") {
    const soft = !turns.isAwaiting(seq) && !touched && isEager(toolInHand());
    useProblem.setState({ problem, piece: usePicking.getState().piece, soft, own: false });
  }
  useSession.setState({ touched: false });
  answered(seq, null);
}

const edgesOf = (design: DesignState, piece: string) => design.pieces.find((p) => p.id === piece)?.edge_count;

/** The design as it stands now. */
function take(design: DesignState): void {
  const before = useDesign.getState().design;
  useDesign.setState({ design, preview: null });
  settleBodies();
  if (!before) usePicking.setState({ piece: design.pieces[0]?.id ?? null });
  // What is being typed meanwhile stays: this may be the answer to a preview that was called off before.
  if (!before || before.revision === design.revision) return;
  useSession.setState({ touched: false, typedSince: false, values: settled() });
  showNothing();
  takePicks(design, before);
  useProblem.setState({ problem: null, piece: null });
  // Numbers of elements that were set aside may mean others by now.
  useEnds.setState({ far: null });
  const limit = useReach.getState().within?.piece;
  if (limit && edgesOf(before, limit) !== edgesOf(design, limit)) useReach.setState({ within: null });
  weigh();
  bend();
  // What a tool goes by may have been unlocked, or lie elsewhere.
  if (JSON.stringify(design.references) !== JSON.stringify(before.references)) eagerly();
}

/** Whether something else is asked of the same forms: then what was picked to measure is still meant. */
function asksOtherwise(design: DesignState, before: DesignState): boolean {
  const forms = ({ pieces }: DesignState) => pieces.map(({ id, digest }) => `${id} ${digest}`).join();
  return JSON.stringify(design.proofs) !== JSON.stringify(before.proofs) && forms(design) === forms(before);
}

function takePicks(design: DesignState, before: DesignState): void {
  const now = usePicking.getState();
  const { selected } = design;
  setHover(null);
  if (!selected?.ids.length && asksOtherwise(design, before)) return;
  if (!selected) {
    // A change that picked nothing, such as one of a reference, leaves the piece in hand where it is still there.
    const there = design.pieces.find((p) => p.id === now.piece) ?? design.pieces[0];
    return usePicking.setState({ piece: there?.id ?? null, picked: [], others: [] });
  }
  const kind = selected.ids.length ? selected.kind : now.pickKind;
  const others = kind === "piece" ? now.others.filter((id) => design.pieces.some((p) => p.id === id)) : [];
  usePicking.setState({ piece: selected.piece, picked: selected.ids, pickKind: kind, others });
}

/** A change by REST, when its turn has come. */
function step(move: (id: string, revision: number) => Promise<DesignState>): void {
  turns.take(() => {
    const { design } = useDesign.getState();
    if (!design) return;
    turns.await(-1);
    void attempt(async () => take(await move(design.id, design.revision))).finally(() => turns.answered(-1));
  });
}

export const showIn = (unit: Unit): void => step((id) => service.showIn(id, unit));
export const undo = (): void => step(service.undo);
export const redo = (): void => step(service.redo);
export const goTo = (id: number): void => step((design, revision) => service.goTo(design, revision, id));
export const rename = (name: string): void => step((id) => service.rename(id, name));
