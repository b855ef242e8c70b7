import { useBench } from "../live/bench";
import { AttractIcon } from "../theme/icons";
import { shareOfTheWay } from "./forms";
import type { Tool } from "./tool";

/** What can be drawn onto: components, then the other pieces. */
function surfaces(): { id: string; name: string }[] {
  const { design, piece } = useBench.getState();
  const components = (design?.references ?? []).filter((r) => r.kind === "component");
  return [...components, ...(design?.pieces ?? []).filter((p) => p.id !== piece)];
}

export const tool: Tool = {
  id: "attract",
  name: "Attract",
  station: "shape",
  section: "Even out",
  order: 76,
  Icon: AttractIcon,
  hint: "Draws the picked to the nearest points of a component, or of another piece's surface.",
  needs: "selection",
  takes: ["vertex", "edge", "face"],
  eager: true,
  verb: "Attract",
  fields: [
    { name: "onto", label: "Onto", unit: "", initial: 0, step: 1, options: () => surfaces().map((s) => s.name) },
    { name: "distance", label: "Distance before it", unit: "mm", initial: 0, step: 0.5, keep: true },
    shareOfTheWay({ keep: true }),
  ],
  command: (v, target) => {
    const onto = surfaces()[v.onto];
    return target && onto ? { kind: "attract", ...target, onto: onto.id, distance: v.distance, share: v.share / 100 } : null;
  },
};
