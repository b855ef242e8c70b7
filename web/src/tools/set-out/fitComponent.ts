import type { Context } from "../../model/context";
import { drawn, verb } from "../../model/tool";
import { keptFromMoving, movable, movableList } from "../shared/components";
import { entryOf, list } from "../shared/fields";

const faced = ({ design, piece }: Context) => (design?.pieces ?? []).filter((p) => !p.curve).sort((a, b) => +(b.id === piece?.id) - +(a.id === piece?.id));

export const tool = verb({
  id: "fit-component",
  name: "Best fit",
  station: "set-out",
  section: "Place a component",
  order: 62,
  icon: drawn(["M5 20C2 12 8 4 16 5", "M9 20c-1-7 3-11 9-10", "M17 15l3 3-3 3"]),
  also: "scan align register nearest icp",
  hint: "Turns and moves a component from where it lies until it fits a piece best. Lay it roughly first: within some 20°.",
  needs: "piece",
  eager: true,
  verb: "Place it",
  leaves: () => true,
  missing: (context) => keptFromMoving(context) ?? (faced(context).length ? null : "There is no piece to fit it to."),
  fields: { component: movableList(), onto: list("To", (context) => faced(context).map(({ id, name }) => ({ id, words: name }))) },
  command(v, context) {
    const component = movable(context, v.component);
    const onto = entryOf(faced(context), v.onto);
    return component && onto ? { kind: "fit-component", reference: component.id, onto: onto.id } : null;
  },
});
