import type { Context } from "../../model/context";
import type { ValuesOf } from "../../model/fields";
import { cuts } from "../../model/parameters.generated";
import { drawn, type Pointing, verb } from "../../model/tool";
import type { AnyGrowth, Command } from "../../model/types";
import type { Vec } from "../../model/vec";
import { directionOf, towards, towardsValues, typedShown } from "../shared/directions";
import { angle, choice, count, kept, length, list, number, parameter, share } from "../shared/fields";
import { curvesInHand } from "../shared/growth";
import { pointGrips } from "../shared/placing";

type Stones = Extract<AnyGrowth, { kind: "stones" }>;
type Laying = Extract<Command, { kind: "lay-stones" }>;
type CutKind = keyof typeof cuts;

const names = Object.fromEntries(Object.entries(cuts).map(([kind, { name }]) => [kind, name])) as Record<CutKind, string>;
const forms = ({ design }: Context) => [
  { id: "", words: "nothing: the curve alone" },
  ...(design?.pieces ?? []).filter((p) => !p.curve && !p.images).map((p) => ({ id: p.id, words: p.name })),
];

const fields = {
  cut: choice("Cut", names, { initial: "round" }),
  material: parameter("lay-stones", "material"),
  width: length("Width", 3, { step: 0.1, above: 0 }),
  length: length("Length", 4, { step: 0.1, above: 0 }),
  weighs: choice("Size by", { no: "its width", yes: "its weight" }, { more: true }),
  carats: number("Carats each", 0.1, { step: 0.01, above: 0, more: true }),
  way: choice("Laid", { points: "where clicked", round: "round an axis, from a click", faces: "over picked faces", edges: "along picked edges", curve: "along a curve" }),
  count: count("Stones", 12, 0, { max: 1000, help: "0: as many as the gap leaves room for" }),
  gap: length("Gap", 0.2, { step: 0.05 }),
  at: share("At", 50, { min: 0, max: 100, help: "of the curve's length" }),
  ...towards("axis", "About", "+z"),
  onto: list("Lie on", forms),
  sink: length("Sunk by", 0, { step: 0.1 }),
  turn: angle("Turned", 0, { min: -360, max: 360 }),
  x: length("Through x", 0, { more: true }),
  y: length("Through y", 0, { more: true }),
  z: length("Through z", 0, { more: true }),
  table: share("Table", 57, { step: 1, more: true }),
  crown: angle("Crown angle", 34.5, { step: 0.5, more: true }),
  pavilion: angle("Pavilion angle", 40.75, { step: 0.25, more: true }),
  girdle: share("Girdle", 3.5, { step: 0.5, more: true }),
  star: share("Stars", 50, { step: 1, more: true }),
  lower: share("Lower halves", 77, { step: 1, more: true }),
  culet: share("Culet", 0, { step: 0.5, more: true }),
  corner: share("Corners cut", 15, { step: 1, more: true }),
  steps: count("Steps", 3, 1, { max: 5, more: true }),
  chevrons: count("Chevrons", 3, 1, { max: 4, more: true }),
  dome: share("Dome", 40, { step: 1, more: true }),
  back: share("Back", 0, { step: 1, more: true }),
  drilled: choice("Drilled", { whole: "not", half: "half", through: "through" }),
  bore: length("Drill", 0.8, { step: 0.1, above: 0 }),
  clicked: kept<Vec[]>([]),
  on: kept(""),
  ids: kept<number[]>([]),
};
type V = ValuesOf<typeof fields>;

const copyOf = (list: readonly number[] = []): number[] => [...list];

/** A drawn one lies in its curve, whatever way was chosen for others. */
const isDrawn = (v: { cut?: unknown }) => v.cut === "drawn";
const wayOf = (v: V): Laying["way"] => (isDrawn(v) ? "within" : v.way);
const along = (v: { way?: unknown; cut?: unknown }) => !isDrawn(v) && v.way === "curve";
const has = (name: string) => (v: { cut?: unknown }) => name in cuts[v.cut as CutKind].begins;
const byEdges = (v: { way?: unknown; cut?: unknown }) => !isDrawn(v) && v.way === "edges";
const byGap = (v: { way?: unknown; count?: unknown; cut?: unknown }) =>
  !isDrawn(v) && (v.way === "faces" || ((v.way === "edges" || v.way === "curve") && v.count === 0));
const round = (v: { way?: unknown; cut?: unknown }) => !isDrawn(v) && v.way === "round";
const pointed = (v: { way?: unknown; cut?: unknown }) => !isDrawn(v) && (v.way === "points" || v.way === "round");

/** The cut of these values: its own proportions alone. */
function cutOf(v: V): Laying["cut"] {
  const own = Object.keys(cuts[v.cut].begins).map((name) => [name, v[name as keyof V]]);
  return { kind: v.cut, ...Object.fromEntries(own) } as Laying["cut"];
}

/** All that was clicked: kept from before, and now. */
const points = (v: V, { sketch }: Context): Vec[] => [...v.clicked, ...sketch.spots.map((spot) => spot.point)];
const host = (v: V, { sketch }: Context): string => v.on || (sketch.spots[0]?.piece ?? "");

function picked(v: V, { target, regrowing }: Context): { piece: string; ids: number[] } | null {
  const kind = v.way === "faces" ? "face" : "edge";
  if (target?.picked.kind === kind && target.picked.ids.length) return { piece: target.piece, ids: target.picked.ids };
  return regrowing && v.ids.length ? { piece: v.on, ids: v.ids } : null;
}

function railOf({ regrowing, ...context }: Context): string {
  const grown = regrowing?.grown;
  return (grown?.kind === "stones" && grown.rail) || curvesInHand({ ...context, regrowing })[0]?.id || "";
}

const pointing: Pointing = {
  active: ({ values }) => pointed(values),
  query: () => ({ surface: true }),
  click(spot, toEye, context, hands) {
    const { spots } = context.sketch;
    const on = host(context.values as V, context);
    if (on && spot.piece !== on)
      return hands.say({ type: "/problems/bad-selection", title: "", status: 422, detail: "Stones of one piece lie on one form; put these down first." });
    hands.sketch({ spots: [...spots, spot], towards: spot.normal ?? toEye });
    hands.again();
  },
  key(key, { sketch: { spots } }, hands) {
    if (!spots.length) return false;
    if (key === "Escape") hands.clearSketch();
    else if (key === "Backspace") hands.sketch({ spots: spots.slice(0, -1) });
    else return false;
    hands.again();
    return true;
  },
};

const needed: Record<Laying["way"] & string, string> = {
  points: "Click on a form, where the stone is to be.",
  round: "Click on a form, where the first stone is to be.",
  faces: "Pick the faces that stones are to lie on (F).",
  edges: "Pick the edges along which stones are to lie (E).",
  curve: "Pick the curve along which stones are to lie (W).",
  within: "Pick the closed curve that is the stone's outline (W).",
};

export const tool = verb({
  id: "stones",
  name: "Stones",
  station: "make",
  section: "Stones",
  order: 60,
  icon: drawn(["M7 5h10l4 5-9 10-9-10z", "M3 10h18", "M9 10l3 10 3-10-2-5", "M9 10l2-5"]),
  also: "gem jewel diamond brilliant cabochon pearl pave row free outline",
  hint: "They ride on the form: pull its cage, and they go along. A drawn cabochon has a closed curve as its outline. Gaps and what sticks out are told at the foot.",
  needs: "piece",
  eager: true,
  verb: "Lay",
  grows: ["stones"],
  fields,
  shown: {
    width: (v) => !isDrawn(v) && v.weighs === "no",
    length: (v) => has("length")(v),
    weighs: (v) => !isDrawn(v),
    carats: (v) => !isDrawn(v) && v.weighs === "yes",
    way: (v) => !isDrawn(v),
    count: (v) => round(v) || byEdges(v) || along(v),
    gap: byGap,
    at: (v) => along(v) && v.count === 1,
    ...typedShown("axis", round), x: round, y: round, z: round,
    onto: (v) => along(v) || isDrawn(v),
    turn: (v) => !isDrawn(v),
    table: has("table"), crown: has("crown"), pavilion: has("pavilion"), girdle: has("girdle"), star: has("star"), lower: has("lower"),
    culet: has("culet"), corner: has("corner"), steps: has("steps"), chevrons: has("chevrons"), dome: has("dome"), back: has("back"),
    drilled: has("drilled"), bore: (v) => has("bore")(v) && v.drilled !== "whole",
  },
  moreWords: "Proportions…",
  pointing,
  typed(v, field) {
    if (field !== "cut") return v;
    // Another cut begins with proportions of its own, in the size that was set; a long one is as much longer.
    const { width, ...own } = { length: 0, ...cuts[v.cut].begins };
    const scale = v.width / width;
    return { ...v, ...own, length: own.length * scale, ...(v.cut === "pearl" ? { material: "pearl" } : {}) };
  },
  grips: (v) => (round(v) ? pointGrips(["x", "y", "z"], [v.x, v.y, v.z]) : []),
  missing(context) {
    const v = context.values as V;
    if (!v.way) return null;
    const way = wayOf(v) ?? "points";
    if (pointed(v)) return points(v, context).length ? null : needed[way];
    if (way === "curve" || way === "within") return railOf(context) ? null : needed[way];
    return picked(v, context) ? null : needed[way];
  },
  command(v, context) {
    const { regrowing } = context;
    const axis: Vec = directionOf(v, "axis") ?? [0, 0, 1];
    const command: Laying = {
      kind: "lay-stones", piece: regrowing?.id ?? null, name: null, host: "", curve: "", cut: cutOf(v), material: v.material,
      carats: v.weighs === "yes" && !isDrawn(v) ? v.carats : null, way: wayOf(v), points: [], ids: [], count: v.count, gap: v.gap, at: v.at / 100, point: [v.x, v.y, v.z],
      along: axis, sink: v.sink, turn: v.turn,
    };
    if (along(v) || isDrawn(v)) {
      const rail = railOf(context);
      return rail ? { ...command, curve: rail, host: v.onto } : null;
    }
    if (pointed(v)) {
      const clicked = points(v, context);
      return clicked.length ? { ...command, host: host(v, context), points: clicked } : null;
    }
    const on = picked(v, context);
    return on && { ...command, host: on.piece, ids: on.ids };
  },
  readsGrowth(growth) {
    const { host: on = "", stone, laid, sink = 0, turn = 0 } = growth as Stones;
    const { kind = "round", ...own } = stone?.cut ?? {};
    // An outline is the curve's.
    return { cut: kind, ...("outline" in own ? { ...own, outline: undefined } : own), material: (stone?.material ?? "diamond") as V["material"], sink, turn, on, onto: on, ...valuesOf(laid ?? {}) };
  },
});

/** The fields of the rule by which stones were laid. */
function valuesOf({ way = "points", count: many = 12, gap = 0.2, at: part = 0.5, point = [0, 0, 0], along = [0, 0, 1], points: at = [], ids = [] }: NonNullable<Stones["laid"]>): Partial<V> {
  const [x, y, z] = point;
  return { way: way === "within" ? "points" : way, count: many, gap, at: 100 * part, x, y, z, clicked: at.map(([a, b, c]): Vec => [a, b, c]), ids: copyOf(ids), ...towardsValues("axis", along) };
}
