/** Trace a scan: patches of quads between four clicks, each going on from the last one's side; strips by a drag. */
import type { Context, Hands } from "../../model/context";
import type { Spot } from "../../model/sketch";
import { drawn, form, type Pointing } from "../../model/tool";
import type { Command, DesignState } from "../../model/types";
import { apart, times, plus, type Vec } from "../../model/vec";
import { componentList, componentsOf } from "../shared/components";
import { takesBack } from "../shared/drawing";
import { choice, entryOf, parameter } from "../shared/fields";
import { cornersOf } from "../rough/lay";

type Tracing = Extract<Command, { kind: "trace" }>;

const corner = (spot: Spot): Tracing["corners"][number] =>
  spot.vertices.length === 2 ? [spot.vertices[0], spot.vertices[1]] : spot.vertices.length ? spot.vertices[0] : spot.point;

/** Both ends of a side that is there, as one spot of two corners. */
const sideSpot = (piece: string, [a, b]: [number, number], positions: ArrayLike<number>): Spot => {
  const [one, other] = [a, b].map((v) => [positions[3 * v], positions[3 * v + 1], positions[3 * v + 2]] as Vec);
  return { point: times(plus(one, other), 0.5), on: "edge", normal: null, vertices: [a, b], piece, reference: null };
};

/** What all that is traced shares; null where there is nothing to trace on. */
function common(context: Context, spots: Spot[]) {
  const { values: v, design, piece, sketch } = context;
  const onto = entryOf(componentsOf(context), String(v.onto));
  if (!onto) return null;
  const owner = spots.find((spot) => spot.vertices.length && spot.piece)?.piece;
  // A patch by itself goes to the piece that is being traced, where there is one.
  const going = piece?.id === sketch.on && design?.pieces.some((p) => p.id === sketch.on) ? sketch.on : null;
  const on = owner ?? going;
  const mirrored = (on ? "no" : v.mirrored) as Tracing["mirrored"];
  return { name: "Traced sheet", piece: on ?? null, onto: onto.id, weld: Number(v.weld), mirrored };
}

/** The vertex that came to lie nearest to where a corner was clicked. */
function nearest(positions: ArrayLike<number>, point: Vec): number {
  let best = 0;
  let least = Infinity;
  for (let v = 0; v < positions.length / 3; v++) {
    const far = apart([positions[3 * v], positions[3 * v + 1], positions[3 * v + 2]], point);
    if (far < least) [best, least] = [v, far];
  }
  return best;
}

const places = (spot: Spot, context: Context): Vec[] => {
  const cage = spot.piece ? context.arrays(spot.piece)?.cage.positions : undefined;
  if (!spot.vertices.length || !cage) return [spot.point];
  return spot.vertices.map((v) => [cage[3 * v], cage[3 * v + 1], cage[3 * v + 2]] as Vec);
};

/** Once it is laid, the next one begins at its far side, or at the one about its first corner. */
function goOn(next: DesignState | null, ends: [Vec, Vec] | null, context: Context, hands: Hands): void {
  const piece = next?.selected?.piece;
  if (!piece) return;
  const cage = context.arrays(piece)?.cage.positions;
  hands.sketch({ on: piece, spots: ends && cage ? [sideSpot(piece, [nearest(cage, ends[0]), nearest(cage, ends[1])], cage)] : [] });
}

function lay(spots: Spot[], towards: Vec, context: Context, hands: Hands): void {
  const shared = common(context, spots);
  const corners = spots.flatMap((spot) => places(spot, context));
  hands.clearSketch();
  if (!shared) return;
  const { along, across, then } = context.values;
  const going = then === "far" ? ([corners[2], corners[3]] as [Vec, Vec]) : then === "round" ? ([corners[0], corners[3]] as [Vec, Vec]) : null;
  const command: Tracing = { kind: "trace", ...shared, corners: spots.map(corner), towards, along: Number(along), across: Number(across) };
  void hands.give(command).then((next) => goOn(next, going, context, hands));
}

const pointing: Pointing = {
  active: (context) => componentsOf(context).length > 0,
  query: () => ({ reuse: true }),
  click(spot, towards, context, hands) {
    const next = [...context.sketch.spots, spot];
    const count = cornersOf(next);
    if (count > 4) return;
    const out = spot.normal ?? towards;
    if (count === 4) lay(next, out, context, hands);
    else {
      hands.sketch({ spots: next, towards: out });
      hands.again();
    }
  },
  stroke(line, towards, context, hands) {
    const { spots } = context.sketch;
    // It goes on from the side that is set, where it begins beside it; else it is a strip by itself.
    const begun = spots.length === 1 && spots[0].vertices.length === 2 ? spots[0] : line[0].vertices.length === 2 ? line[0] : null;
    const shared = common(context, begun ? [begun] : []);
    hands.clearSketch();
    if (!shared) return;
    const ends = begun ? places(begun, context) : null;
    const width = ends ? apart(ends[0], ends[1]) : Number(context.values.width);
    const stroke = (begun ? [begun, ...line] : line).map((spot) => spot.point) as [Vec, Vec];
    const command: Extract<Command, { kind: "trace-strip" }> = {
      kind: "trace-strip", ...shared, stroke, width, towards: line[0].normal ?? towards,
      begins: begun ? [begun.vertices[0], begun.vertices[1]] : null,
    };
    void hands.give(command).then((next) => goOn(next, null, context, hands));
  },
  key: (key, context, hands) => takesBack(key, context, hands, true),
};

export const tool = form({
  id: "trace",
  name: "Trace",
  station: "set-out",
  section: "From a scan",
  order: 80,
  icon: drawn(["M4 18c4-8 12-8 16 0", "M7 13l2-7 7 .500 1 6"], [[7, 13], [17, 13]]),
  also: "retopology scan quads patch strip retrace",
  hint: "Four clicks on the scan lay a patch, two more the next one. Draw a line for a strip. Backspace takes a corner back; three and Enter make a triangle.",
  verb: "As a triangle",
  fields: {
    onto: componentList("On"),
    along: parameter("trace", "along", { keep: true }),
    across: parameter("trace", "across", { keep: true }),
    then: choice("Goes on", { far: "from the far side", round: "about the first corner", anew: "anew" }, { keep: true }),
    weld: parameter("trace", "weld", { keep: true }),
    mirrored: parameter("trace", "mirrored", { keep: true }),
    width: parameter("trace-strip", "width", { keep: true }),
    flow: choice("Shown on it", { all: "flow and sharp lines", flow: "flow", lines: "sharp lines", nothing: "nothing" }, { keep: true, help: "Strokes along its lines of curvature and across them; where it turns by 30° or more" }),
  },
  shown: { mirrored: (_, { sketch }) => sketch.on === null },
  command(_, context) {
    const { spots, towards } = context.sketch;
    const shared = cornersOf(spots) === 3 ? common(context, spots) : null;
    return shared && { kind: "lay-face", name: shared.name, piece: shared.piece, corners: spots.map(corner), towards };
  },
  sharpLines: (v) => (v.flow === "all" || v.flow === "lines" ? { on: String(v.onto), degrees: 30 } : null),
  pointing,
  below: "TraceLine",
});
