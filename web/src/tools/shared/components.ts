/** Components of the design, the one in hand first; and what those tools need that move one. */
import type { Context } from "../../model/context";
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
