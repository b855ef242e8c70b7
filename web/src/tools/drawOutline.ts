/** Draw a closed outline point by point, and fill it with quads. */
import { useBench } from "../live/bench";
import { DrawIcon } from "../theme/icons";
import { clearSketch, type Pointing, useSketch } from "../viewport/pointing";
import { count } from "./forms";
import type { Tool } from "./tool";

const again = () => {
  const { values, setValues } = useBench.getState();
  setValues({ ...values });
};

function close(): void {
  useSketch.setState({ closed: true });
  again();
}

const pointing: Pointing = {
  active: () => !useSketch.getState().closed,
  query: () => ({}),
  click(spot, towards) {
    const { spots } = useSketch.getState();
    const first = spots[0]?.point;
    const span = Math.max(...spots.map((s) => Math.hypot(...s.point.map((x, i) => x - first[i]))), 0);
    const back = first && Math.hypot(...spot.point.map((x, i) => x - first[i])) < 0.06 * span;
    if (spots.length > 2 && back) close();
    else useSketch.setState({ spots: [...spots, spot], towards: spot.normal ?? towards });
  },
  key(key) {
    const { spots } = useSketch.getState();
    if (!spots.length) return false;
    if (key === "Enter" && spots.length > 2) close();
    else if (key === "Backspace") useSketch.setState({ spots: spots.slice(0, -1) });
    else if (key === "Escape") clearSketch();
    else return false;
    return true;
  },
};

export const tool: Tool = {
  id: "draw-outline",
  name: "Draw outline",
  station: "rough",
  order: 110,
  Icon: DrawIcon,
  hint: "Click points around; Enter, or a click on the first point, closes the outline and fills it.",
  needs: "nothing",
  verb: "Fill",
  fields: [
    { name: "joined", label: "Joined", unit: "", initial: 0, step: 1, options: ["smoothly", "by straight lines"] },
    count("around", "Faces around", 12, 4),
    count("rings", "Rings", 1),
  ],
  command: (v) => {
    const { spots, closed, towards } = useSketch.getState();
    if (!closed || spots.length < 3) return null;
    const points = spots.map((spot) => spot.point) as [[number, number, number]];
    return { kind: "fill-drawn", name: "Patch", points, towards, smooth: v.joined === 0, around: v.around, rings: v.rings };
  },
  pointing,
};
