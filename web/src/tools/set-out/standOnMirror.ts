import { drawn, verb } from "../../model/tool";
import { keptFromMoving, movable, movableList } from "../shared/components";
import { choice } from "../shared/fields";

export const tool = verb({
  id: "stand-on-mirror",
  name: "By mirror plane",
  station: "set-out",
  section: "Place a component",
  order: 64,
  icon: drawn(["M12 3v18", "M9 6C4 8 4 16 9 18", "M15 6c5 2 5 10 0 12"]),
  also: "scan symmetry align half plane",
  hint: "Finds the plane in which a component is its own mirror image, and lays it across an axis. Says how true the halves are.",
  needs: "piece",
  eager: true,
  verb: "Place it",
  leaves: () => true,
  missing: keptFromMoving,
  fields: { component: movableList(), axis: choice("Plane across", { x: "x", y: "y", z: "z" }) },
  command(v, context) {
    const component = movable(context, v.component);
    return component ? { kind: "stand-on-mirror", reference: component.id, axis: v.axis } : null;
  },
});
