import { HollowIcon } from "../../theme/icons";
import type { Vec } from "../../live/look";
import type { Field, Values } from "../tool";
import { atOf, footAt, towards, towardsOf, towardsValues } from "./directions";
import { followerTool, length, place, pointOf } from "./follower";

const most = 8;
const open = (v: Values) => v.opening === 1;
const vented = (v: Values) => v.vents > 0;

/** The vent in hand is shown by the fields; the others are kept beside them, by their numbers. */
const own: Field[] = [
  length("vent", "Vent radius", 1.5, { step: 0.25, min: 0.01, when: vented }),
  ...place(vented),
  ...towards("through", "Along", 2, vented),
];
const kept = (v: Values, i: number): Values => Object.fromEntries(own.map((f) => [f.name, v[`${f.name} ${i}`] ?? f.initial]));
const keep = (v: Values, i: number): Values => Object.fromEntries(own.map((f) => [`${f.name} ${i}`, v[f.name]]));
const vent = (v: Values) => {
  const along = towardsOf(v, "through");
  return along && { point: pointOf(v), along, radius: v.vent };
};

export const tool = followerTool(
  {
    id: "hollow",
    name: "Hollow",
    order: 24,
    Icon: HollowIcon,
    hint: "Takes out all that lies deeper than the wall. Look inside with a section or a trim.",
    fields: [
      length("wall", "Wall", 2, { step: 0.25, min: 0.05 }),
      { name: "opening", label: "Opening", unit: "", initial: 0, step: 1, options: ["none", "by a plane"] },
      ...towards("side", "Open towards", 5, open),
      length("at", "At", 0, { step: 1, when: open }),
      { name: "vents", label: "Vents", unit: "", initial: 0, step: 1, min: 0, max: most, whole: true },
      { name: "number", label: "Vent", unit: "", initial: 0, step: 1, options: Array.from({ length: most }, (_, i) => `number ${i + 1}`), when: (v) => v.vents > 1 },
      ...own,
    ],
    typed(v, field) {
      // Another vent is taken in hand: its numbers come into the fields.
      const number = Math.max(0, Math.min(v.number, v.vents - 1));
      if (field === "number" || number !== v.number) return { ...v, number, ...kept(v, number) };
      return own.some((f) => f.name === field) ? { ...v, ...keep(v, v.number) } : v;
    },
    grips: (v) =>
      vented(v)
        ? ([[1, 0, 0], [0, 1, 0], [0, 0, 1]] as Vec[]).map((along, k) => ({ kind: "grip" as const, field: "xyz"[k], at: pointOf(v), along, gain: 1 }))
        : [],
  },
  {
    kinds: ["hollow"],
    make(v) {
      const side = towardsOf(v, "side");
      const vents = Array.from({ length: v.vents }, (_, i) => vent(i === v.number ? v : kept(v, i)));
      if (!side || vents.includes(null)) return null;
      return { kind: "hollow", wall: v.wall, opening: open(v) ? ([footAt(side, v.at), side] as [Vec, Vec]) : null, vents: vents.filter((x) => x !== null) };
    },
    read(f): Values {
      const vents = (f.vents ?? []).map((given): Values => {
        const [x, y, z] = given.point ?? [0, 0, 0];
        return { ...towardsValues("through", given.along ?? [0, 0, 1]), vent: given.radius ?? 1.5, x, y, z };
      });
      const [point, normal] = (f.opening ?? [[0, 0, 0], [0, 0, -1]]) as [Vec, Vec];
      const side = towardsValues("side", normal);
      return {
        ...vents[0],
        ...Object.assign({}, ...vents.map((v, i) => keep({ ...Object.fromEntries(own.map((x) => [x.name, x.initial])), ...v }, i))),
        ...side, wall: f.wall ?? 2, opening: f.opening ? 1 : 0, at: atOf(towardsOf(side, "side")!, point), vents: vents.length, number: 0,
      };
    },
  },
);
