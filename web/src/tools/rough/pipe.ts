import { placeAlong } from "../../model/alongLine";
import type { Context } from "../../model/context";
import { drawn, type Grip } from "../../model/tool";
import { plus, times } from "../../model/vec";
import { angle, choice, count, length, share } from "../shared/fields";
import { curvesInHand, growthTool } from "../shared/growth";
import { grip } from "../shared/placing";

const most = 4;
const places = [1, 2, 3, 4] as const;
type At = `at${(typeof places)[number]}`;
type Wide = `wide${(typeof places)[number]}`;
type Placed = Readonly<Record<At | Wide | "places" | "diameter", number>>;

const told = (v: Placed): [number, number][] =>
  places.slice(0, Math.min(v.places, most)).map((k) => [v[`at${k}`] / 100, v[`wide${k}`]]);

/** The curve that it grows from. */
function lineOf(context: Context): ArrayLike<number> | null {
  const grown = context.regrowing?.grown;
  const source = grown?.kind === "pipe" ? grown.source : curvesInHand(context)[0]?.id;
  return (source && context.arrays(source)?.line?.points) || null;
}

/** At each place a bead on the surface for how wide it is there, and one on the line for where it lies. */
function beads(v: Placed, context: Context): Grip<At | Wide>[] {
  const line = lineOf(context);
  if (!line) return [];
  return told(v).flatMap(([part, wide], k) => {
    const place = placeAlong(line, part);
    if (!place) return [];
    const n = places[k];
    return [
      grip(`wide${n}` as const, plus(place.point, times(place.side, wide / 2)), place.side, 2),
      grip(`at${n}` as const, place.point, place.along, 100 / place.length),
    ];
  });
}

const has = (k: number) => (v: { places?: unknown }) => Number(v.places) >= k;

export const tool = growthTool({
  id: "pipe",
  name: "Pipe",
  order: 210,
  icon: drawn(["M3 16c4 0 5-9 11-9h4", "M5 20c5 0 6-9 10-9h3", "M18 6.500c1.500 0 2 1.200 2 2.500s-.500 2.500-2 2.500-2-1.200-2-2.500.500-2.500 2-2.500z"]),
  also: "tube wire rod sweep cable square half-round flat taper",
  hint: "Its surface has the diameter that is asked for. It goes on following its curve: pull the curve's points.",
  verb: "Let it grow",
  fields: {
    section: choice("Section", { round: "round", square: "square", "half-round": "half-round", flat: "flat" }),
    diameter: length("Diameter", 2, { step: 0.1, above: 0 }),
    thickness: length("Thickness", 1, { step: 0.1, above: 0 }),
    around: count("Faces around", 8, 3, { max: 64 }),
    each: count("Faces a leg", 3, 1, { max: 64 }),
    ends: choice("Ends", { flat: "flat", round: "round", open: "open" }),
    places: count("Places", 0, 0, { max: most, help: "Where its diameter is another one: beads on the form draw them wider, and along" }),
    at1: share("1st at", 50, { min: 0, max: 100 }),
    wide1: length("1st diameter", 3, { step: 0.1, above: 0 }),
    at2: share("2nd at", 75, { min: 0, max: 100 }),
    wide2: length("2nd diameter", 3, { step: 0.1, above: 0 }),
    at3: share("3rd at", 25, { min: 0, max: 100 }),
    wide3: length("3rd diameter", 3, { step: 0.1, above: 0 }),
    at4: share("4th at", 10, { min: 0, max: 100 }),
    wide4: length("4th diameter", 3, { step: 0.1, above: 0 }),
    turned: angle("Turned by", 0, { more: true }),
    twist: angle("Twist", 0, { more: true }),
  },
  shown: {
    thickness: (v) => v.section === "flat",
    at1: has(1), wide1: has(1), at2: has(2), wide2: has(2), at3: has(3), wide3: has(3), at4: has(4), wide4: has(4),
  },
  moreWords: "Turned, twist…",
  // New places begin half as wide again, evenly along.
  typed(v, field) {
    if (field !== "places") return v;
    const n = Math.min(v.places, most);
    const set: [string, number][] = places.slice(0, n).flatMap((k) => [
      [`at${k}`, Number(((100 * k) / (n + 1)).toFixed(1))],
      [`wide${k}`, Number((1.5 * v.diameter).toFixed(4))],
    ]);
    return { ...v, ...(Object.fromEntries(set) as Partial<typeof v>) };
  },
  grips: (v, context) => beads(v, context),
  kind: "pipe",
  curves: [1, 1],
  make(v, [source], { regrowing }) {
    // More places than the card shows stay as they are.
    const more = regrowing?.grown?.kind === "pipe" ? (regrowing.grown.places ?? []).slice(most) : [];
    return {
      kind: "pipe", source, diameter: v.diameter, around: v.around, each: v.each, ends: v.ends, twist: v.twist,
      section: v.section, thickness: v.thickness, turned: v.turned, places: [...told(v), ...more],
    };
  },
  read: (g) => ({
    diameter: g.diameter, around: g.around, each: g.each, ends: g.ends, twist: g.twist,
    section: g.section, thickness: g.thickness, turned: g.turned, places: g.places?.length ?? 0,
    ...Object.fromEntries((g.places ?? []).slice(0, most).flatMap(([at, wide], k) => [[`at${k + 1}`, 100 * at], [`wide${k + 1}`, wide]])),
  }),
});
