/** The state of the open design on this screen, and everything that can be done to it. */
import { create } from "zustand";
import { initialValues, toolById } from "../tools/all";
import type { StationId, Target, Values } from "../tools/tool";
import { Channel } from "./channel";
import { Pieces } from "./pieces";
import { Refused, service } from "./service";
import type { Command, DesignState, Kind, Message, PreviewState, Problem } from "./types";

export type Display = "cage" | "surface" | "both";
export type Hover = { piece: string; kind: Kind; id: number } | null;

export const pieces = new Pieces();
let channel: Channel | null = null;

interface Bench {
  design: DesignState | null;
  connected: boolean;
  gone: boolean;
  problem: Problem | null;
  /** The piece that the problem's places belong to. */
  problemPiece: string | null;
  station: StationId;
  toolId: string | null;
  values: Values;
  touched: boolean;
  preview: PreviewState | null;
  display: Display;
  pickKind: Kind;
  through: boolean;
  piece: string | null;
  picked: number[];
  hover: Hover;

  open(id: string): () => void;
  setStation(station: StationId): void;
  takeTool(id: string | null): void;
  setValues(values: Values): void;
  /** The command that the tool's values and the selection add up to. */
  command(): Command | null;
  apply(): void;
  back(): void;
  give(command: Command): void;
  setDisplay(display: Display): void;
  setPickKind(kind: Kind): void;
  setThrough(through: boolean): void;
  setHover(hover: Hover): void;
  pick(piece: string | null, ids: number[]): void;
  undo(): void;
  redo(): void;
  goTo(step: number): void;
  rename(name: string): void;
  say(problem: Problem | null, piece?: string | null): void;
}

export const useBench = create<Bench>((set, get) => {
  const target = (): Target | null => {
    const { piece, picked, pickKind } = get();
    return piece && picked.length ? { piece, picked: { kind: pickKind, ids: picked } } : null;
  };

  const settled = (values: Values): Values => {
    const tool = toolById(get().toolId);
    if (!tool) return {};
    return Object.fromEntries(tool.fields.map((f) => [f.name, f.keep ? (values[f.name] ?? f.initial) : f.initial]));
  };

  const takeState = (design: DesignState) => {
    const before = get().design;
    const changed = before !== null && before.revision !== design.revision;
    set((s) => ({ design, preview: null, touched: false, values: settled(s.values) }));
    if (!changed) {
      if (!before) set({ piece: design.pieces[0]?.id ?? null });
      return;
    }
    const selected = design.selected;
    if (selected) {
      const kind = selected.ids.length ? selected.kind : get().pickKind;
      set({ piece: selected.piece, picked: selected.ids, pickKind: kind, hover: null });
    } else set({ piece: design.pieces[0]?.id ?? null, picked: [], hover: null });
    set({ problem: null, problemPiece: null });
  };

  const message = (m: Message) => {
    if (m.type === "problem") {
      set({ problem: m.problem, problemPiece: get().piece, touched: false });
      return;
    }
    pieces.take(m);
    if (m.type === "frame") set({ preview: m.preview, problem: null, problemPiece: null });
    else takeState(m.state);
  };

  const showPreview = () => {
    const { design, touched } = get();
    const command = touched ? get().command() : null;
    if (!design) return;
    if (command) channel?.preview(design.revision, command);
    else if (get().preview) channel?.cancel();
  };

  const step = async (move: (id: string, revision: number) => Promise<DesignState>) => {
    const { design } = get();
    if (!design) return;
    try {
      await move(design.id, design.revision);
    } catch (error) {
      if (error instanceof Refused) set({ problem: error.problem, problemPiece: null });
      else throw error;
    }
  };

  return {
    design: null,
    connected: false,
    gone: false,
    problem: null,
    problemPiece: null,
    station: "shape",
    toolId: null,
    values: {},
    touched: false,
    preview: null,
    display: "both",
    pickKind: "face",
    through: false,
    piece: null,
    picked: [],
    hover: null,

    open(id) {
      set({ design: null, gone: false, problem: null, picked: [], piece: null, preview: null, toolId: null });
      channel = new Channel(id, {
        message,
        connected: (connected) => set({ connected }),
        gone: () => set({ gone: true }),
      });
      return () => {
        channel?.close();
        channel = null;
        pieces.clear();
        set({ design: null });
      };
    },

    setStation(station) {
      set({ station });
      // Each station opens with the tool that its work begins with.
      get().takeTool({ shape: "move", make: "solid" }[station as string] ?? null);
    },

    takeTool(id) {
      if (get().preview) channel?.cancel();
      const tool = toolById(id);
      set({ toolId: id, values: tool ? initialValues(tool) : {}, touched: false, problem: null });
      if (tool) set({ station: tool.station });
      if (tool?.atOnce) {
        get().apply();
        set({ toolId: null });
      } else if (tool?.needs === "nothing" && tool.command) {
        // A new piece is shown from the start, so that its sizes are seen before it is put down.
        set({ touched: true });
        showPreview();
      }
    },

    setValues(values) {
      set({ values, touched: true });
      showPreview();
    },

    command: () => toolById(get().toolId)?.command?.(get().values, target()) ?? null,

    apply() {
      const { design } = get();
      const command = get().command();
      if (!design || !command) return;
      channel?.commit(design.revision, command);
      // What was put down is to be shaped next: the tool is laid aside. Keys belong to the form again.
      if (toolById(get().toolId)?.needs === "nothing") set({ toolId: null });
      if (document.activeElement instanceof HTMLInputElement) document.activeElement.blur();
    },

    back() {
      const { preview, touched, values, toolId, picked } = get();
      if (preview || touched) {
        channel?.cancel();
        set({ preview: null, touched: false, values: settled(values) });
        if (toolById(toolId)?.needs === "nothing") set({ toolId: null });
      } else if (toolId && toolById(toolId)?.parts === undefined) set({ toolId: null, problem: null });
      else if (picked.length) set({ picked: [], problem: null });
      else set({ toolId: null, problem: null });
    },

    give(command) {
      const { design } = get();
      if (design) channel?.commit(design.revision, command);
    },

    setDisplay: (display) => set({ display }),
    setPickKind: (pickKind) => {
      if (pickKind !== get().pickKind) set({ pickKind, picked: [], hover: null });
    },
    setThrough: (through) => set({ through }),
    setHover: (hover) => {
      const now = get().hover;
      if (now?.id !== hover?.id || now?.piece !== hover?.piece || now?.kind !== hover?.kind) set({ hover });
    },
    pick(piece, ids) {
      if (get().preview) channel?.cancel();
      set({ piece: piece ?? get().piece, picked: ids, touched: false, preview: null, problem: null });
    },
    undo: () => void step(service.undo),
    redo: () => void step(service.redo),
    goTo: (id) => void step((design, revision) => service.goTo(design, revision, id)),
    rename: (name) => void step(async (id) => {
      const state = await service.rename(id, name);
      set({ design: state });
      return state;
    }),
    say: (problem, piece = null) => set({ problem, problemPiece: piece }),
  };
});
