import { drawn, verb } from "../../model/tool";
import { componentList, componentsOf } from "../shared/components";
import { entryOf, parameter } from "../shared/fields";

export const tool = verb({
  id: "settle",
  name: "Settle",
  station: "refine",
  section: "Along the cage",
  order: 48,
  icon: drawn(["M3 17c5-7 13-7 18 0", "M4 12c4-6 12-6 16 0", "M12 3v5M9.500 6L12 8.500 14.500 6"]),
  also: "scan fit wrap shrink component least squares",
  hint: "Lays the smooth surface of the picked, or of the whole piece (W), on a component. What is not picked stays.",
  needs: "selection",
  eager: true,
  verb: "Settle",
  missing: (context) => (componentsOf(context).length ? undefined : "There is no component to settle on: bring a scan in first."),
  fields: {
    onto: componentList("On"),
    smoothness: parameter("settle", "smoothness", { keep: true }),
    border: parameter("settle", "border", { keep: true }),
  },
  command(v, context) {
    const { target } = context;
    const onto = entryOf(componentsOf(context), v.onto);
    return target && onto ? { kind: "settle", ...target, onto: onto.id, smoothness: v.smoothness / 100, border: v.border === "yes" } : null;
  },
});
