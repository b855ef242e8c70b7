import type { ValuesOf } from "../../model/fields";
import { drawn } from "../../model/tool";
import { type Vec, world } from "../../model/vec";
import { atOf, directionOf, footAt, towards, towardsValues, typedShown } from "../shared/directions";
import { choice, count, kept } from "../shared/fields";
import { followerTool, length, point, pointOf, pointValues } from "../shared/follower";
import { pointGrips } from "../shared/placing";

const most = 8;
const numbers = Object.fromEntries(Array.from({ length: most }, (_, i) => [`v${i}`, `number ${i + 1}`]));
const placeOf = (number: string) => Number(number.slice(1));

/** The vent in hand is shown by the fields; the others are kept beside them, by their places. */
const vent = { vent: length("Vent radius", 1.5, { step: 0.25, min: 0.01 }), ...point, ...towards("through", "Along", "+z") };
type Vent = ValuesOf<typeof vent>;
const newVent: Vent = { vent: 1.5, x: 0, y: 0, z: 0, through: "+z", through_x: 0, through_y: 0, through_z: 1 };
const ventIn = ({ vent, x, y, z, through, through_x, through_y, through_z }: Vent): Vent => ({ vent, x, y, z, through, through_x, through_y, through_z });

const bored = (v: Vent) => {
  const along = directionOf(v, "through");
  return along && { point: pointOf(v), along, radius: v.vent };
};

const opened = (v: { opening?: unknown }) => v.opening === "plane";
const vented = (v: { vents?: unknown }) => Number(v.vents) > 0;

export const tool = followerTool({
  id: "hollow",
  name: "Hollow",
  order: 24,
  icon: drawn(["M4 6c2-2 14-2 16 0v9c0 4-3.500 6-8 6s-8-2-8-6z", "M8 7v7c0 2.300 1.700 3.500 4 3.500s4-1.200 4-3.500V7"]),
  also: "wall shell inside offset",
  hint: "Takes out all that lies deeper than the wall. Look inside with a section or a trim.",
  fields: {
    wall: length("Wall", 2, { step: 0.25, min: 0.05 }),
    opening: choice("Opening", { none: "none", plane: "by a plane" }),
    ...towards("side", "Open towards", "-z", "Open"),
    at: length("At", 0, { step: 1 }),
    vents: count("Vents", 0, 0, { max: most }),
    number: choice("Vent", numbers),
    ...vent,
    others: kept<Vent[]>([]),
  },
  shown: {
    ...typedShown("side", opened), at: opened, number: (v) => v.vents > 1,
    vent: vented, x: vented, y: vented, z: vented, ...typedShown("through", vented),
  },
  typed(v, field) {
    const number = Math.max(0, Math.min(placeOf(v.number), v.vents - 1));
    // Another vent is taken in hand: its numbers come into the fields.
    if (field === "number" || number !== placeOf(v.number)) return { ...v, number: `v${number}`, ...(v.others[number] ?? newVent) };
    const others = [...v.others];
    others[number] = ventIn(v);
    return field in vent ? { ...v, others } : v;
  },
  grips: (v) => (vented(v) ? pointGrips(["x", "y", "z"], pointOf(v)) : []),
  kinds: ["hollow"],
  make(v) {
    const side = directionOf(v, "side");
    const vents = Array.from({ length: v.vents }, (_, i) => bored(i === placeOf(v.number) ? v : (v.others[i] ?? newVent)));
    if (!side || vents.includes(null)) return null;
    const opening = opened(v) ? ([footAt(side, v.at), side] as [Vec, Vec]) : null;
    return { kind: "hollow", wall: v.wall, opening, vents: vents.filter((x) => x !== null) };
  },
  read(f) {
    const vents = (f.vents ?? []).map(
      (given): Vent => ({ ...newVent, ...towardsValues("through", given.along ?? [0, 0, 1]), vent: given.radius ?? 1.5, ...pointValues(given.point) }),
    );
    const [at, normal] = f.opening ?? [[0, 0, 0], [0, 0, -1]];
    const values = towardsValues("side", normal);
    const side = directionOf({ side: "-z", side_x: 0, side_y: 0, side_z: 1, ...values }, "side") ?? world[2];
    return {
      ...vents[0], others: vents, ...values, wall: f.wall ?? 2, opening: f.opening ? "plane" : "none", at: atOf(side, at), vents: vents.length,
      number: "v0",
    };
  },
});
