import type { Context } from "../../model/context";
import type { ValuesOf } from "../../model/fields";
import { regrowth } from "../../model/growths";
import { drawn, verb } from "../../model/tool";
import type { AnyGrowth } from "../../model/types";
import type { Vec } from "../../model/vec";
import { directionOf, towards, towardsValues, typedShown } from "../shared/directions";
import { angle, choice, count, kept, length, list, share } from "../shared/fields";
import { curvesInHand, facedInHand } from "../shared/growth";
import { pointGrips } from "../shared/placing";

type Repeat = Extract<AnyGrowth, { kind: "repeat" }>;

const rails = (context: Context): { id: string; words: string }[] => {
  const all = (context.design?.pieces ?? []).filter((p) => p.curve);
  const inHand = curvesInHand(context);
  return [...inHand, ...all.filter((p) => !inHand.includes(p))].map((p) => ({ id: p.id, words: p.name }));
};

const fields = {
  way: choice("Repeated", { round: "round an axis", rows: "in rows", curve: "along a curve" }),
  count: count("Times", 6, 2, { max: 256 }),
  ...towards("axis", "About", "+z"),
  degrees: angle("Over", 360, { min: -360, max: 360 }),
  step_x: length("Step x", 20, { narrow: true }),
  step_y: length("y", 0, { narrow: true }),
  step_z: length("z", 0, { narrow: true }),
  rows: count("Rows", 1, 1, { max: 256 }),
  aside_x: length("Aside x", 0, { narrow: true }),
  aside_y: length("y", 20, { narrow: true }),
  aside_z: length("z", 0, { narrow: true }),
  rail: list("Curve", rails),
  spaced: choice("Spaced", { count: "by times", pitch: "so far apart" }),
  pitch: length("Apart", 10, { step: 0.5, above: 0 }),
  turned: angle("Each turned by", 0, { min: -360, max: 360, help: "about the way, against the one before: 90 for links of a chain" }),
  upright: choice("Stand", { no: "as the curve turns", yes: "upright" }),
  phase: share("Moved on by", 0, { step: 50, min: -100, max: 100, help: "of a step: 50 lays them between" }),
  bodies: choice("In Make", { united: "one body", apart: "each by itself" }, { more: true, help: "One original's images, with nothing done to the repeat as a whole" }),
  x: length("Through x", 0, { more: true }),
  y: length("Through y", 0, { more: true }),
  z: length("Through z", 0, { more: true }),
  left_out: kept<number[]>([]),
};
type V = ValuesOf<typeof fields>;

const copyOf = (list: readonly number[] = []): number[] => [...list];

const round = (v: { way?: unknown }) => v.way === "round";
const rows = (v: { way?: unknown }) => v.way === "rows";
const along = (v: { way?: unknown }) => v.way === "curve";
const spaced = (v: { way?: unknown; spaced?: unknown }) => along(v) && v.spaced === "pitch";
const several = (v: { way?: unknown; rows?: unknown }) => rows(v) && Number(v.rows) > 1;

function made(v: V, ids: string[], context: Context): Repeat | null {
  const rail = v.way === "curve" ? v.rail || rails(context)[0]?.id : "";
  if (v.way === "curve" && !rail) return null;
  const axis: Vec = directionOf(v, "axis") ?? [0, 0, 1];
  return {
    kind: "repeat", originals: ids, way: v.way, count: v.count, point: [v.x, v.y, v.z], along: axis, degrees: v.degrees,
    step: [v.step_x, v.step_y, v.step_z], rows: v.rows, aside: [v.aside_x, v.aside_y, v.aside_z], rail: rail ?? "", upright: v.upright === "yes",
    pitch: spaced(v) ? v.pitch : 0, turned: along(v) ? v.turned : 0, phase: v.phase / 100, left_out: [...v.left_out], bodies: v.bodies,
  };
}

export const tool = verb({
  id: "repeat",
  name: "Repeat",
  station: "rough",
  section: "Growing",
  order: 220,
  icon: drawn(["M12 3v5", "M12 16v5", "M3 12h5", "M16 12h5", "M5.500 5.500l3.500 3.500", "M15 15l3.500 3.500", "M18.500 5.500L15 9", "M9 15l-3.500 3.500"]),
  also: "array pattern copies instances round rows along curve ring",
  hint: "Images that follow their original. Their smallest gap is told at the foot while it is pulled. In Make they are one solid with it, or bodies by themselves.",
  needs: "piece",
  eager: true,
  then: "move",
  verb: "Repeat",
  grows: ["repeat"],
  fields,
  shown: {
    ...typedShown("axis", round), degrees: round, x: round, y: round, z: round,
    step_x: rows, step_y: rows, step_z: rows, rows, aside_x: several, aside_y: several, aside_z: several,
    rail: along, upright: along, spaced: along, pitch: spaced, turned: along, count: (v) => !spaced(v),
  },
  moreWords: "Place…",
  below: "HalfStep",
  grips: (v) => (v.way === "round" ? pointGrips(["x", "y", "z"], [v.x, v.y, v.z]) : []),
  missing: (context) => (context.regrowing || facedInHand(context).length ? null : "Pick a piece with faces first (W), or several with Shift."),
  readsGrowth(growth) {
    const g = growth as Repeat;
    const [x, y, z] = g.point ?? [0, 0, 0];
    const [step_x, step_y, step_z] = g.step ?? [20, 0, 0];
    const [aside_x, aside_y, aside_z] = g.aside ?? [0, 20, 0];
    return {
      way: g.way, count: g.count, degrees: g.degrees, x, y, z, step_x, step_y, step_z, rows: g.rows, aside_x, aside_y, aside_z, rail: g.rail,
      spaced: g.pitch ? "pitch" : "count", ...(g.pitch ? { pitch: g.pitch } : {}), turned: g.turned ?? 0,
      upright: g.upright ? "yes" : "no", phase: 100 * (g.phase ?? 0), left_out: copyOf(g.left_out), bodies: g.bodies, ...towardsValues("axis", g.along ?? [0, 0, 1]),
    };
  },
  command(v, context) {
    const { regrowing } = context;
    const ids = regrowing?.grown?.kind === "repeat" ? (regrowing.grown.originals ?? []) : facedInHand(context).map((p) => p.id);
    const growth = ids.length ? made(v, [...ids], context) : null;
    if (!growth) return null;
    return regrowing ? regrowth(regrowing, growth) : { kind: "grow", growth, name: null };
  },
});
