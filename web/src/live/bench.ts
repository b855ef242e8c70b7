/** The state of the open design on this screen, and everything that can be done to it. */
import { create } from "zustand";
import { initialValues, toolById } from "../tools/all";
import { missingFor, type Placing, type StationId, type Target, type Values } from "../tools/tool";
import { clearSketch } from "../viewport/pointing";
import { nothingMeant, settleBodies, takeBodies, useBodies } from "./bodies";
import { Channel } from "./channel";
import { askedCurves, useCurves } from "./curves";
import { useEnds } from "./ends";
import { useFollowers } from "./followers";
import { forgetDesign } from "./forget";
import { pieces } from "./pieces";
import { type Hover, nothingPicked, type Picking, pickingOf } from "./picking";
import { picksShown, placingOf } from "./placing";
import { service } from "./service";
import { useLook, type Vec } from "./look";
import { useNear } from "./near";
import { reachOn, useReach } from "./reach";
import { showNothing } from "./shown";
import type { Command, DesignState, Message, PreviewState, Problem } from "./types";
import { Turns } from "./turns";
import type { Unit } from "./units";

export type Display = "cage" | "surface" | "both";

export type { Hover };
export { pieces } from "./pieces";
export { viewFrame } from "./placing";

let channel: Channel | null = null;

interface Bench extends Picking {
  design: DesignState | null;
  /** What the service is still working on, and for how long; null as a rule. */
  working: { seq: number; seconds: number; stoppable: boolean } | null;
  connected: boolean;
  gone: boolean;
  problem: Problem | null;
  /** Said before anything was changed by hand: a hint rather than a refusal. */
  soft: boolean;
  /** The piece that the problem's places belong to. */
  problemPiece: string | null;
  station: StationId;
  toolId: string | null;
  values: Values;
  touched: boolean;
  preview: PreviewState | null;
  display: Display;

  open(id: string): () => void;
  setStation(station: StationId): void;
  takeTool(id: string | null): void;
  setValues(values: Values): void;
  /** The command that the tool's values and the selection add up to. */
  command(): Command | null;
  /** What the tool still needs to be picked, in words. */
  missing(): string | null;
  apply(): void;
  /** Ask whether the kernel has made solids by now. */
  lookForSolids(): void;
  /** Do what was done last to what is picked now. */
  again(): void;
  /** Show how far the reach carries from what is picked. */
  weigh(): void;
  /** Show the curves that are asked for, of the piece in hand and the edges picked on it. */
  bend(): void;
  /** Stop what the service is working on. */
  stopWork(): void;
  /** Drop a preview and wait until the design is shown as it stands: only then are elements what their numbers say. */
  cleared(): Promise<void>;
  back(): void;
  give(command: Command): void;
  /** Show what a command would lead to, without a tool; null shows the design as it stands. */
  try(command: Command | null): void;
  /** Show pieces at a level of smoothness, or with null at the finest that is quick. */
  look(level: number | null): void;
  setDisplay(display: Display): void;
  /** Move what is picked a little, as one step. */
  nudge(vector: Vec): void;
  showIn(unit: Unit): void;
  undo(): void;
  redo(): void;
  goTo(step: number): void;
  rename(name: string): void;
  say(problem: Problem | null, piece?: string | null): void;
}

const edgesOf = (design: DesignState, piece: string) => design.pieces.find((p) => p.id === piece)?.edge_count;

/** About what, along which axes and how far the tool in hand places things. */
export const placing = (): Placing => placingOf(useBench.getState());

/** What is picked as it is shown. */
export const shownPicks = () => picksShown(useBench.getState());

export const useBench = create<Bench>((set, get) => {
  const target = (): Target | null => {
    const { piece, picked, pickKind } = get();
    if (!piece || !picked.length) return null;
    const { others } = get();
    return { piece, picked: { kind: pickKind, ids: picked }, ...(pickKind === "piece" && others.length ? { others } : {}) };
  };

  const settled = (values: Values): Values => {
    const tool = toolById(get().toolId);
    if (!tool) return {};
    return Object.fromEntries(tool.fields.map((f) => [f.name, f.keep ? (values[f.name] ?? f.initial) : f.initial]));
  };

  const takeState = (design: DesignState) => {
    const before = get().design;
    const changed = before !== null && before.revision !== design.revision;
    set({ design, preview: null });
    settleBodies();
    if (!changed) {
      // What is being typed meanwhile stays: this may be the answer to a preview that was called off before.
      if (!before) set({ piece: design.pieces[0]?.id ?? null });
      return;
    }
    set((s) => ({ touched: false, typedSince: false, values: settled(s.values) }));
    showNothing();
    const selected = design.selected;
    if (selected) {
      const kind = selected.ids.length ? selected.kind : get().pickKind;
      const others = kind === "piece" ? get().others.filter((id) => design.pieces.some((p) => p.id === id)) : [];
      set({ piece: selected.piece, picked: selected.ids, pickKind: kind, others, hover: null });
    } else {
      // A change that picked nothing, such as one of a reference, leaves the piece in hand where it is still there.
      const there = design.pieces.find((p) => p.id === get().piece) ?? design.pieces[0];
      set({ piece: there?.id ?? null, picked: [], others: [], hover: null });
    }
    set({ problem: null, problemPiece: null });
    // Numbers of elements that were set aside may mean others by now.
    useEnds.setState({ far: null });
    const limit = useReach.getState().within?.piece;
    if (limit && edgesOf(before, limit) !== edgesOf(design, limit)) useReach.setState({ within: null });
    get().weigh();
    get().bend();
  };

  const message = (m: Message) => {
    if (m.type === "working") return set({ working: { seq: m.seq, seconds: Math.round(m.seconds), stoppable: m.stoppable } });
    if (get().working && (m.type === "problem" || m.type === "state" || m.seq === get().working?.seq)) set({ working: null });
    if (m.type === "problem" && m.problem.type === "/problems/stopped") {
      set({ touched: false });
      turns.answered(m.seq);
      return;
    }
    if (m.type === "problem") {
      const soft = !turns.isAwaiting(m.seq) && !get().touched && toolById(get().toolId)?.eager === true;
      set({ problem: m.problem, problemPiece: get().piece, touched: false, soft });
      turns.answered(m.seq);
      return;
    }
    if (m.type === "weights") return useReach.setState({ weights: m.weights });
    if (m.type === "curves") return useCurves.setState({ list: m.curves });
    if (m.type === "bodies") return takeBodies(m, get().preview !== null);
    pieces.take(m);
    if (m.weights !== undefined) useReach.setState({ weights: m.weights });
    if (m.clearances) useNear.setState({ list: m.clearances });
    if (m.curves) useCurves.setState({ list: m.curves });
    if (m.type === "frame") set({ preview: m.preview, problem: null, problemPiece: null });
    else {
      takeState(m.state);
      turns.answered(m.seq);
      shown.get(m.seq)?.();
      shown.delete(m.seq);
    }
  };

  /** Also what is still on its way: coming late, it would stay. */
  const callOff = () => {
    if (get().preview || channel?.previewing) return channel?.cancel();
  };

  const offer = (command: Command | null) => {
    const { design } = get();
    if (design && command) channel?.preview(design.revision, command);
    else if (design) callOff();
  };

  /** Tools that show what they would do before anything was set. */
  const eagerly = () => {
    const { toolId, touched } = get();
    if (toolById(toolId)?.eager && !touched) offer(get().missing() ? null : get().command());
  };

  const turns = new Turns(() => get().connected);
  const shown = new Map<number, () => void>();
  let last: Command | null = null;

  const showPreview = () => offer(get().touched ? get().command() : null);

  const commit = (command: Command) => {
    const { design } = get();
    if (!design || !channel) return;
    turns.await(channel.commit(design.revision, command));
    if ("picked" in command) last = command;
  };
  // Keys that come again before the last nudge was kept add up to one.
  let nudged: Vec | null = null;

  /** A number typed for what was picked before is not left standing as if it were meant for this. */
  const afresh = () => {
    const { values, toolId } = get();
    const tool = toolById(toolId);
    if (tool && !tool.eager && tool.needs !== "nothing") set({ values: settled(values) });
    eagerly();
  };

  const picking = pickingOf(set, get, { callOff, afresh, showPreview });

  const step = (move: (id: string, revision: number) => Promise<DesignState>) =>
    turns.take(() => {
      const { design } = get();
      if (!design) return;
      turns.await(-1);
      void picking.attempt(async () => takeState(await move(design.id, design.revision))).finally(() => turns.answered(-1));
    });

  return {
    design: null,
    working: null,
    connected: false,
    gone: false,
    problem: null,
    soft: false,
    problemPiece: null,
    station: "shape",
    toolId: null,
    values: {},
    touched: false,
    preview: null,
    display: "both",
    ...nothingPicked,

    open(id) {
      set({ design: null, gone: false, problem: null, picked: [], others: [], piece: null, preview: null, toolId: null });
      forgetDesign();
      last = null;
      channel = new Channel(id, {
        message,
        connected: (connected) => {
          set({ connected, working: null });
          // What was under way may have been kept or not: the state that comes now tells.
          turns.forget();
          nudged = null;
          for (const resolve of shown.values()) resolve();
          shown.clear();
          // A new connection knows nothing of how this screen looks.
          if (connected) {
            const { level } = useLook.getState();
            if (level !== null) channel?.look(level);
            get().bend();
          }
        },
        gone: () => set({ gone: true }),
      });
      return () => {
        channel?.close();
        channel = null;
        pieces.clear();
        set({ design: null });
      };
    },

    stopWork() {
      channel?.stop();
    },

    setStation(station) {
      set({ station });
      // Each station opens with the tool that its work begins with.
      const first: Partial<Record<StationId, string>> = { shape: "move", refine: "add-loop", make: "solid" };
      get().takeTool(first[station] ?? null);
      set({ station });
    },

    takeTool(id) {
      callOff();
      showNothing();
      const tool = toolById(id);
      clearSketch();
      useFollowers.setState({ editing: null });
      useBodies.setState(nothingMeant);
      set({ toolId: id, values: tool ? initialValues(tool) : {}, touched: false, typedSince: false, problem: null });
      if (tool) set({ station: tool.station });
      if (tool?.atOnce) {
        turns.take(() => {
          const command = tool.command?.({}, target(), placing());
          if (command) commit(command);
        });
        set({ toolId: null });
      } else if (tool?.needs === "nothing" && tool.command) {
        // A new piece is shown from the start, so that its sizes are seen before it is put down.
        set({ touched: true });
        showPreview();
      } else eagerly();
      get().weigh();
    },

    lookForSolids: () => channel?.bodies(),

    missing() {
      const { toolId, pickKind, picked, others, piece } = get();
      const tool = toolById(toolId);
      return tool && missingFor(tool, pickKind, picked.length, picked.length ? 1 + others.length : 0, piece);
    },

    setValues(values) {
      set({ values, touched: true, typedSince: shown.size > 0 });
      showPreview();
    },

    command: () => toolById(get().toolId)?.command?.(get().values, target(), placing()) ?? null,

    apply() {
      turns.take(() => {
        const command = get().command();
        if (!command) return;
        commit(command);
        // What was put down is to be shaped next: the tool is laid aside. Keys belong to the form again.
        const tool = toolById(get().toolId);
        if ((tool?.needs === "nothing" && !tool.pointing) || tool?.once) get().takeTool(tool.once ? "solid" : null);
        clearSketch();
        if (document.activeElement instanceof HTMLInputElement) document.activeElement.blur();
      });
    },

    back() {
      showNothing();
      const { preview, touched, values, toolId, picked, asked } = get();
      if (preview || touched) {
        channel?.cancel();
        set({ preview: null, touched: false, typedSince: false, values: settled(values) });
        const tool = toolById(toolId);
        if (tool?.needs === "nothing" || tool?.eager) set({ toolId: null, problem: null });
      } else if (toolId && toolById(toolId)?.parts === undefined) set({ toolId: null, problem: null });
      else if (picked.length || asked) set({ picked: [], asked: null, values: settled(values), problem: null });
      else set({ toolId: null, problem: null });
    },

    give: (command) => turns.take(() => commit(command)),

    again() {
      turns.take(() => {
        const at = target();
        if (!last || !at) return;
        const { others: _, ...rest } = last as Command & { others?: string[] };
        commit({ ...rest, ...at } as Command);
      });
    },

    weigh() {
      const { piece, picked, pickKind, toolId } = get();
      const reach = reachOn(piece);
      if (!reach || !piece || !picked.length || !toolById(toolId)?.reaches) return useReach.setState({ weights: null });
      channel?.weigh({ piece, picked: { kind: pickKind, ids: picked }, reach });
    },

    bend() {
      const { piece, picked, pickKind } = get();
      const asked = askedCurves(piece, pickKind === "edge" ? picked : []);
      // Asked for nothing, nothing more is sent: what was shown goes by itself.
      if (asked || useCurves.getState().list.length) channel?.curves(asked);
    },

    cleared() {
      set({ typedSince: false });
      return new Promise((resolve) =>
        turns.take(() => {
          const seq = callOff();
          if (seq) shown.set(seq, resolve);
          else resolve();
        }),
      );
    },

    look(level) {
      channel?.look(level);
      useLook.setState({ level });
    },

    try(command) {
      const { design } = get();
      if (!design) return;
      if (command) channel?.preview(design.revision, command);
      else channel?.cancel();
    },

    setDisplay: (display) => set({ display }),
    ...picking,
    nudge(vector) {
      if (nudged) {
        nudged = nudged.map((x, i) => x + vector[i]) as Vec;
        return;
      }
      nudged = vector;
      turns.take(() => {
        const at = target();
        if (at && nudged) commit({ kind: "move", ...at, vector: nudged });
        nudged = null;
      });
    },
    showIn: (unit) => step((id) => service.showIn(id, unit)),
    undo: () => step(service.undo),
    redo: () => step(service.redo),
    goTo: (id) => step((design, revision) => service.goTo(design, revision, id)),
    rename: (name) => step((id) => service.rename(id, name)),
    say: (problem, piece = null) => set({ problem, problemPiece: piece }),
  };
});
