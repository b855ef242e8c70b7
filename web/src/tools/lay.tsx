/** Lay quads: faces point by point, on the working plane, a picture, or a component; what is there is used again. */
import { pieces, useBench } from "../live/bench";
import type { Vec } from "../live/look";
import type { Command } from "../live/types";
import { LayCard } from "../panels/cards/LayCard";
import { LayIcon } from "../theme/icons";
import { clearSketch, type Pointing, type Spot, useSketch } from "../viewport/pointing";
import type { Tool } from "./tool";

type Corner = Extract<Command, { kind: "lay-face" }>["corners"][number];

interface Laid {
  corner: Corner;
  point: Vec;
  piece: string | null;
}

/** One corner for each spot; an edge that was clicked gives its two ends. */
function laid(spots: Spot[]): Laid[] {
  const corners: Laid[] = [];
  for (const spot of spots) {
    if (spot.on === "edge" || spot.on === "vertex")
      for (const [i, vertex] of spot.vertices.entries()) corners.push({ corner: vertex, point: endOf(spot, i), piece: spot.piece });
    else corners.push({ corner: spot.point, point: spot.point, piece: null });
  }
  return corners;
}

const ends = new WeakMap<Spot, Vec[]>();
const endOf = (spot: Spot, i: number): Vec => ends.get(spot)?.[i] ?? spot.point;

const minus = (a: Vec, b: Vec): Vec => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
const cross = (a: Vec, b: Vec): Vec => [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]];
const dot = (a: Vec, b: Vec) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];

/** Whether the sides of a quad cross: then the ends of the edge that was clicked belong the other way round. */
function crossed(p: Vec[]): boolean {
  const whole = [0, 1, 2, 3].map((i) => cross(minus(p[(i + 1) % 4], p[i]), minus(p[(i + 3) % 4], p[i])));
  const total = whole.reduce<Vec>((sum, v) => [sum[0] + v[0], sum[1] + v[1], sum[2] + v[2]], [0, 0, 0]);
  return whole.filter((v) => dot(v, total) < 0).length >= 2 || dot(total, total) < 1e-18;
}

function arranged(corners: Laid[], spots: Spot[]): Laid[] {
  if (corners.length !== 4 || !crossed(corners.map((c) => c.point))) return corners;
  let at = 0;
  for (const spot of spots) {
    const size = spot.on === "edge" ? 2 : 1;
    if (size === 2) {
      const swapped = [...corners];
      [swapped[at], swapped[at + 1]] = [swapped[at + 1], swapped[at]];
      if (!crossed(swapped.map((c) => c.point))) return swapped;
    }
    at += size;
  }
  return corners;
}

function lay(spots: Spot[], towards: Vec): void {
  const { give, design, say, piece } = useBench.getState();
  const corners = arranged(laid(spots), spots);
  const owners = [...new Set(corners.map((c) => c.piece).filter((p) => p !== null))];
  clearSketch();
  if (owners.length > 1)
    return say({ type: "/problems/bad-selection", title: "", status: 422, detail: "A face is laid within one piece; these corners belong to two." });
  // A face by itself goes to the piece that is being laid, where there is one.
  const own = owners[0] ?? (piece !== null && piece === laying.piece && design?.pieces.some((p) => p.id === piece) ? piece : null);
  laying.waiting = true;
  give({ kind: "lay-face", ...(own ? { piece: own } : {}), corners: corners.map((c) => c.corner) as Corner[], towards } as Command);
}

/** The piece that faces are being laid on: what the last laid face left in hand. */
const laying = { piece: null as string | null, waiting: false, watching: false };

/** The bench loads the tools, so that it can be watched only later than at the start. */
function watch(): void {
  if (laying.watching) return;
  laying.watching = true;
  useBench.subscribe((now, before) => {
    if (now.toolId !== before.toolId && now.toolId !== "lay") laying.piece = null;
    if (laying.waiting && now.design?.revision !== before.design?.revision) {
      laying.waiting = false;
      laying.piece = now.design?.selected?.piece ?? null;
    }
  });
}

const pointing: Pointing = {
  active: () => true,
  query: () => ({ reuse: true }),
  click(spot, towards) {
    watch();
    const { spots } = useSketch.getState();
    if (spot.on === "edge" && spot.piece) ends.set(spot, spot.vertices.map((v) => vertexPoint(spot.piece!, v)));
    const next = [...spots, spot];
    const count = laid(next).length;
    if (count > 4) return;
    const out = spot.normal ?? towards;
    if (count === 4) lay(next, out);
    else useSketch.setState({ spots: next, towards: out });
  },
  key(key) {
    const { spots, towards } = useSketch.getState();
    if (!spots.length) return false;
    if (key === "Escape") clearSketch();
    else if (key === "Backspace") useSketch.setState({ spots: spots.slice(0, -1) });
    else if (key === "Enter" && laid(spots).length === 3) lay(spots, towards);
    else return false;
    return true;
  },
};

function vertexPoint(piece: string, vertex: number): Vec {
  const positions = pieces.byId.get(piece)?.cage.positions;
  return positions ? [positions[3 * vertex], positions[3 * vertex + 1], positions[3 * vertex + 2]] : [0, 0, 0];
}

export const tool: Tool = {
  id: "lay",
  name: "Lay quads",
  key: "z",
  station: "rough",
  order: 90,
  Icon: LayIcon,
  hint: "",
  needs: "nothing",
  verb: "",
  fields: [],
  Card: LayCard,
  pointing,
};
