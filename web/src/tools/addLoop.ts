import { Box3, Vector3 } from "three";
import { pieces, useBench } from "../live/bench";
import type { Vec } from "../live/look";
import { LoopIcon } from "../theme/icons";
import { count } from "./forms";
import type { Tool } from "./tool";

/** The edge on which a loop's place is shown, as it stands in the design: a preview has other edges. */
let shown: { start: Vec; way: Vec; length: number } | null = null;

/** Shares count from the end that is nearer to the middle of the cage, as the command does. */
function remember(): void {
  const { preview, piece, picked, pickKind } = useBench.getState();
  if (preview) return;
  shown = null;
  // Of several edges of a ring the first decides.
  const edge = Math.min(...picked);
  const cage = piece ? pieces.byId.get(piece)?.cage : undefined;
  if (pickKind !== "edge" || !cage || !picked.length || 2 * edge + 1 >= cage.edge_verts.length) return;
  const at = (v: number) => Array.from(cage.positions.subarray(3 * v, 3 * v + 3)) as Vec;
  const middle: Vec = [0, 0, 0];
  for (let i = 0; i < cage.positions.length; i++) middle[i % 3] += cage.positions[i] / (cage.positions.length / 3);
  const far = (p: Vec) => Math.hypot(...p.map((x, i) => x - middle[i]));
  let [start, end] = [at(cage.edge_verts[2 * edge]), at(cage.edge_verts[2 * edge + 1])];
  // As near as makes no difference: the lower vertex, as there.
  const span = Math.max(...new Box3().setFromArray(cage.positions).getSize(new Vector3()).toArray());
  if (far(end) < far(start) - 1e-6 * span) [start, end] = [end, start];
  const way = end.map((x, i) => x - start[i]) as Vec;
  const length = Math.hypot(...way) || 1;
  shown = { start, way: way.map((x) => x / length) as Vec, length };
}

export const tool: Tool = {
  id: "add-loop",
  name: "Add loop",
  key: "o",
  shift: true,
  station: "refine",
  section: "Loops",
  order: 10,
  Icon: LoopIcon,
  hint: "Pick an edge that the loop is to cross. Drag the bead along it, or type the place: 30, or a ratio such as 1:2.",
  needs: "selection",
  takes: ["edge"],
  eager: true,
  verb: "Add",
  fields: [
    { ...count("count", "Loops", 1), max: 32, keep: true },
    { name: "at", label: "At", unit: "%", initial: 50, step: 5, min: 1, max: 99, when: (v) => v.count === 1 },
    { name: "form", label: "Surface", unit: "", initial: 0, step: 1, keep: true, options: ["pull tight", "hold form"] },
    { name: "span", label: "Runs", unit: "", initial: 0, step: 1, keep: true, options: ["all round", "from picked to picked"] },
    { name: "ends", label: "Ends in", unit: "", initial: 0, step: 1, keep: true, options: ["an n-gon", "quads"], when: (v) => v.span === 1 },
  ],
  command: (v, target) => {
    if (!target) return null;
    remember();
    const shares = v.count === 1 ? [v.at / 100] : [...Array(v.count)].map((_, k) => (k + 1) / (v.count + 1));
    return {
      kind: "add-loop", ...target, shares: shares as [number], span: v.span ? "picked" : "ring", ends: v.ends ? "quads" : "ngon",
      form: v.form ? "hold" : "tight",
    };
  },
  grips(v) {
    remember();
    if (v.count !== 1 || !shown) return [];
    const { start, way, length } = shown;
    const at = start.map((x, i) => x + (way[i] * length * v.at) / 100) as Vec;
    return [{ kind: "grip", field: "at", at, along: way, gain: 100 / length }];
  },
};
