/** What is picked, moved by keys: a run of them is one step, whatever its length. */
import type { Vec } from "../model/vec";
import { target } from "./context";
import { commit, turns } from "./line";
import { useDesign } from "./stores/design";

/** Milliseconds after which a key begins a step of its own. */
const RUN = 2000;

/** Keys that came while the last was being kept. */
let waiting: Vec | null = null;
/** The run so far: what it moved, by how much, and the revision that it led to. */
let run: { at: string; vector: Vec; revision: number; when: number } | null = null;

const sum = (a: Vec, b: Vec) => a.map((x, i) => x + b[i]) as Vec;

/** Move what is picked a little; what follows at once, with nothing done between, adds to the same step. */
export function nudge(vector: Vec): void {
  if (waiting) {
    waiting = sum(waiting, vector);
    return;
  }
  waiting = vector;
  turns.take(() => {
    const by = waiting;
    waiting = null;
    const at = target();
    if (!at || !by) return;
    const key = JSON.stringify(at);
    const goesOn = run?.at === key && run.revision === useDesign.getState().design?.revision && Date.now() - run.when < RUN;
    const whole = goesOn && run ? sum(run.vector, by) : by;
    run = null;
    void commit({ kind: "move", ...at, vector: whole }, goesOn).then((design) => {
      if (design) run = { at: key, vector: whole, revision: design.revision, when: Date.now() };
    });
  });
}

export const forgetNudges = (): void => {
  waiting = run = null;
};
