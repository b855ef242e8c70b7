import type { Context } from "../../model/context";
import { drawn } from "../../model/tool";
import { angle, choice, count, list } from "../shared/fields";
import { curvesInHand, growthTool } from "../shared/growth";

/** Curves that could draw the width: those that are neither the rail nor a profile. */
const others = (context: Context) => {
  const used = context.regrowing?.grown?.kind === "sweep" ? [context.regrowing.grown.rail, ...(context.regrowing.grown.profiles ?? [])] : curvesInHand(context).map((p) => p.id);
  const free = (context.design?.pieces ?? []).filter((p) => p.curve && !used.includes(p.id));
  return [{ id: "none", words: "none" }, ...free.map((p) => ({ id: p.id, words: p.name }))];
};

export const tool = growthTool({
  id: "sweep",
  name: "Sweep",
  order: 211,
  icon: drawn(["M4 19c1-8 7-5 8-10s4-5 8-5", "M2 17l4 4M9 6l5 4M18 2l4 4"]),
  also: "along rail profile section path two rails",
  hint: "Pick the rail first, then the profiles (W, Shift). They keep their places beside it, or stand square to it in their own x and y.",
  verb: "Let it grow",
  fields: {
    stands: choice("Profiles", { "as it lies": "as they lie", square: "square to the rail" }),
    turns: choice("They turn", { least: "as little as may be", upright: "upright" }),
    each: count("Faces a leg", 2, 1, { max: 64 }),
    ends: choice("Ends", { flat: "flat", open: "open" }),
    second: list("Second rail", others),
    twist: angle("Twist", 0, { more: true }),
  },
  moreWords: "Twist…",
  waysOut: { "/problems/curve": { words: "Set them square to the rail", values: { stands: "square" } } },
  kind: "sweep",
  curves: [2, 51],
  make(v, [rail, ...rest], { regrowing }) {
    // Of one that grows already the last source is its second rail, where it has one.
    const before = regrowing?.grown?.kind === "sweep" && regrowing.grown.second ? rest.slice(0, -1) : rest;
    const second = v.second === "none" ? "" : v.second;
    return { kind: "sweep", rail, profiles: before.filter((id) => id !== second), second, stands: v.stands, turns: v.turns, each: v.each, ends: v.ends, twist: v.twist };
  },
  read: (g) => ({ stands: g.stands, turns: g.turns, each: g.each, ends: g.ends, second: g.second || "none", twist: g.twist }),
});
