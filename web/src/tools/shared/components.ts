/** Components of the design, the one in hand first; and what those tools need that move one. */
import type { Context } from "../../model/context";
import type { ReferenceState } from "../../model/types";
import { dot, minus, plus, type Vec } from "../../model/vec";
import { list } from "./fields";

export const componentsOf = ({ design, reference }: Context) =>
  (design?.references ?? []).filter((r) => r.kind === "component").sort((a, b) => +(b.id === reference) - +(a.id === reference));

export const componentList = (label = "Component") => list(label, (context) => componentsOf(context).map(({ id, name }) => ({ id, words: name })));

/** What keeps a component from being moved, or null. */
export function keptFromMoving(context: Context): string | null {
  const [first, ...others] = componentsOf(context);
  if (!first) return "There is no component yet: bring one in, or let the simulated scanner make one.";
  return first.locked && others.every((r) => r.locked) ? `${first.name} is locked: unlock it in the list on the right first.` : null;
}

/** As a list of what can be moved. */
export const movableList = (label = "Component") =>
  list(label, (context) => componentsOf(context).filter((r) => !r.locked).map(({ id, name }) => ({ id, words: name })));

export const movable = (context: Context, id: string) => {
  const free = componentsOf(context).filter((r) => !r.locked);
  return free.find((r) => r.id === id) ?? free[0];
};

/** A point on a component as a preview shows it, where that point of it lies in the design: the next click is meant for that. */
export function asItLies({ design, preview }: Context, reference: string | null, point: Vec): Vec {
  const of = (state: { references: ReferenceState[] } | null) => state?.references.find((r) => r.id === reference);
  const [lies, shown] = [of(design), of(preview)];
  if (lies?.kind !== "component" || shown?.kind !== "component") return point;
  const off = minus(point, shown.centre);
  const own = [0, 1, 2].map((k) => off[0] * shown.rotation[0][k] + off[1] * shown.rotation[1][k] + off[2] * shown.rotation[2][k]) as Vec;
  return plus(lies.rotation.map((row) => dot(row, own)) as Vec, lies.centre);
}
