/** The tool in hand: taken up, set, shown, applied and laid aside. */
import type { Values } from "../model/values";
import { fieldsOf, isEager, type StationId, type Tool } from "../model/tool";
import { initialValues, settledValues } from "../model/fields";
import type { AnyFollower, AnyGrowth, AnyProof, Command } from "../model/types";
import { commandNow, contextNow, missing, target } from "./context";
import { service } from "./service";
import { callOff, commit, isWaited, lastDone, preview, turns, weigh } from "./line";
import { nothingMeant, useBodies } from "./stores/bodies";
import { useDesign } from "./stores/design";
import { useDropped } from "./stores/dropped";
import { useFollowers } from "./stores/followers";
import { usePicking } from "./stores/picking";
import { useProblem } from "./stores/problem";
import { toolInHand, tools, useSession } from "./stores/session";
import { clearSketch, useSketch } from "./stores/sketch";
import { showNothing } from "./stores/shown";
import { goToWrong } from "./stores/wrong";

const noProblem = { problem: null, piece: null };

/** The values of the tool in hand as after a step. */
export const settled = (): Values => settledValues(fieldsOf(toolInHand()), useSession.getState().values);

/** What was set by hand, shown on what is picked. */
export const showPreview = (): void => preview(useSession.getState().touched ? commandNow() : null);

/** Tools that show what they would do before anything was set. */
export function eagerly(): void {
  if (isEager(toolInHand()) && !useSession.getState().touched) preview(missing() ? null : commandNow());
}

/** A number typed for what was picked before is not left standing as if it were meant for this. */
export function afresh(): void {
  const tool = toolInHand();
  if (tool?.is === "verb" && !tool.eager) useSession.setState({ values: settled() });
  if (!beginFrom(tool)) eagerly();
}

/** What the hand has set already, shown on a design that has come only now. */
export const showHand = (): void => (useSession.getState().touched ? showPreview() : afresh());

const layAside = () => useSession.setState({ toolId: null });

/** What the brushes on a piece are set to: all of them share it. */
let brushed: { piece: string; values: Values } | null = null;

/** What a brush begins with: as the one before it was left, on a piece that none was on yet by its size. */
function brushValues(tool: Tool | null): Values {
  if (tool?.is !== "brush") return {};
  const context = contextNow();
  const { piece } = context;
  if (!brushed || (piece && brushed.piece !== piece.id)) return { ...brushed?.values, ...tool.starts(context) };
  const own = fieldsOf(tool);
  return Object.fromEntries(Object.entries(brushed.values).filter(([name]) => name in own));
}

function rememberBrush(): void {
  const { piece } = contextNow();
  if (toolInHand()?.is === "brush" && piece) brushed = { piece: piece.id, values: { ...brushed?.values, ...useSession.getState().values } };
}

export function takeTool(id: string | null, as: { regrowing?: string; proving?: AnyProof; values?: Values } = {}): void {
  callOff();
  showNothing();
  rememberBrush();
  const tool = tools().get(id);
  clearSketch();
  useSketch.setState({ on: null });
  useFollowers.setState({ editing: null, regrowing: as.regrowing ?? null, proving: as.proving ?? null });
  useBodies.setState(nothingMeant);
  useSession.setState({ toolId: tool?.id ?? null, values: { ...initialValues(fieldsOf(tool)), ...brushValues(tool), ...as.values }, touched: false, typedSince: false });
  useProblem.setState({ problem: null });
  if (tool) begin(tool);
  weigh();
}

/** Ask what the card begins with, which follows from what is in hand, and show it then. What is done meanwhile waits its turn. */
function beginFrom(tool: Tool | null): boolean {
  if (tool?.is !== "verb" || !tool.begins || useSession.getState().touched || missing()) return false;
  // What has grown is shown by the numbers that it grew by.
  if (useFollowers.getState().regrowing) return false;
  const { begins } = tool;
  turns.take(() => {
    const { design, piece, pickKind, picked, far } = contextNow();
    if (!design || !piece || toolInHand() !== tool) return;
    const hand = { piece: piece.id, picked: { kind: pickKind, ids: picked }, far: far && { piece: far.piece, picked: { kind: far.kind, ids: far.ids } } };
    turns.await(beginning);
    void service
      .beginnings(design.id, begins.kind, hand)
      // Where nothing follows, or nothing is said, the card begins as it always does.
      .then(({ values }) => (begins.read ? begins.read(values) : values), () => ({}))
      .then((told) => {
        if (toolInHand() === tool && !useSession.getState().touched) {
          useSession.setState(({ values }) => ({ values: { ...values, ...told } }));
          eagerly();
        }
        turns.answered(beginning);
      });
  });
  return true;
}

/** The number of its turn: no message of the channel has it, nor any other request. */
const beginning = -2;

function begin(tool: Tool): void {
  if (tool.is !== "verb" || !tool.anywhere) useSession.setState({ station: tool.station });
  if (tool.is === "verb" && tool.atOnce) {
    turns.take(() => {
      const command = tool.command({}, contextNow());
      if (command) void commit(command);
    });
    layAside();
  } else if (tool.is === "form") {
    // A new piece is shown from the start, so that its sizes are seen before it is put down.
    useSession.setState({ touched: true });
    showPreview();
  } else if (!beginFrom(tool)) eagerly();
}

/** Each station opens with the tool that its work begins with. */
export function setStation(station: StationId): void {
  takeTool(tools().opening(station)?.id ?? null);
  useSession.setState({ station });
}

export function setValues(values: Values): void {
  useSession.setState({ values, touched: true, typedSince: isWaited() });
  showPreview();
}

/** Set some values on the card, the others stay. */
export const change = (values: Values): void => setValues({ ...useSession.getState().values, ...values });

/** What the values come to has changed with what lies beside them; where nothing was set by hand yet, nothing is. */
export function again(): void {
  if (useSession.getState().touched) change({});
}

export function apply(): void {
  turns.take(() => {
    const command = commandNow();
    const { entered } = useSession.getState();
    if (!command && entered && !goToWrong()) return entered();
    // What a wrong number stands for is not what would be applied.
    if (!command || goToWrong()) return;
    const giveBack = rememberHand();
    const tool = toolInHand();
    const leaves = tool?.is === "verb" && tool.leaves?.(contextNow()) === true;
    const kept = commit(command);
    // What was put down is to be shaped next: the tool is laid aside. Keys belong to the form again.
    if (tool?.is === "verb" && tool.then) takeTool(tool.then);
    else if (leaves || (tool?.is === "form" && !tool.pointing)) takeTool(null);
    clearSketch();
    const after = useSession.getState().toolId;
    void kept.then((design) => design ?? giveBack(after));
    if (document.activeElement instanceof HTMLInputElement) document.activeElement.blur();
  });
}

/** What is in hand now; the answer takes it up again where it was refused, unless something else is in hand by then. */
function rememberHand(): (after: string | null) => void {
  const { toolId, values } = useSession.getState();
  const { proving } = useFollowers.getState();
  const sketch = useSketch.getState();
  return (after) => {
    const now = useSession.getState();
    // Where the connection broke it may have been kept.
    if (!useDesign.getState().connected || now.toolId !== after || now.touched) return;
    useSession.setState({ toolId, values, touched: true });
    useFollowers.setState({ proving });
    if (!useSketch.getState().spots.length) useSketch.setState(sketch);
  };
}

/** Back out by one: the preview, then the tool or the selection. */
export function back(): void {
  showNothing();
  const tool = toolInHand();
  const { touched } = useSession.getState();
  const { picked, asked } = usePicking.getState();
  if (useDesign.getState().preview || touched) {
    callOff();
    useDesign.setState({ preview: null });
    useSession.setState({ touched: false, typedSince: false, values: settled() });
    if (tool && (tool.is !== "verb" || tool.eager)) {
      layAside();
      useProblem.setState({ problem: null });
    }
    return;
  }
  useProblem.setState({ problem: null });
  const hasHandle = tool?.is === "verb" && tool.parts !== undefined;
  if (tool && !hasHandle) layAside();
  else if (picked.length || asked) {
    usePicking.setState({ picked: [], others: [], asked: null });
    useSession.setState({ values: settled() });
  } else layAside();
}

/** Do what was done last to what is picked now. */
export function repeat(): void {
  turns.take(() => {
    const at = target();
    const last = lastDone();
    if (!last || !at) return;
    const { others: _, ...rest } = last as Command & { others?: string[] };
    void commit({ ...rest, ...at });
  });
}


/** Take up the tool that takes a file which was dropped; false where there is none. */
export function takeFile(file: File): boolean {
  const { station, toolId } = useSession.getState();
  const tool = tools().forFile(file.name, station, toolId);
  if (!tool) return false;
  useDropped.setState(({ serial }) => ({ file, serial: serial + 1 }));
  takeTool(tool.id);
  return true;
}

/** Take up the tool by which a piece has grown with its numbers, to let it grow otherwise. */
export function editGrowth(piece: string, growth: AnyGrowth): void {
  const tool = tools().forGrowth(growth);
  if (!tool?.readsGrowth) return;
  usePicking.setState({ piece, picked: [], others: [] });
  takeTool(tool.id, { regrowing: piece, values: tool.readsGrowth(growth) });
  useProblem.setState(noProblem);
}

/** Take up the tool by which a proof is asked with its numbers, to ask something else. */
export function editProof(proof: AnyProof): void {
  const tool = tools().forProof(proof);
  if (!tool?.readsProof) return;
  usePicking.setState({ piece: proof.piece ?? null, picked: [], others: [] });
  takeTool(tool.id, { proving: proof, values: tool.readsProof(proof) });
  useProblem.setState(noProblem);
}

/** Take up the tool that brings a dimension to a number, with the one that it comes to now. */
export function makeTrue(proof: AnyProof, figure: number): void {
  const tool = tools().makingTrue(proof);
  if (!tool?.readsFigure) return;
  takeTool(tool.id, { proving: proof, values: tool.readsFigure(+figure.toFixed(4)) });
  useProblem.setState(noProblem);
}

/** Take up a follower's tool with its numbers, to change it. */
export function editFollower(piece: string, follower: AnyFollower): void {
  const tool = tools().forFollower(follower);
  if (!tool?.reads) return;
  takeTool(tool.id);
  useFollowers.setState({ editing: { piece, follower } });
  usePicking.setState({ piece });
  useProblem.setState(noProblem);
  change(tool.reads(follower, contextNow()));
}
