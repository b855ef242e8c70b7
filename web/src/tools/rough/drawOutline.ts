/** Draw a closed outline point by point, and fill it with quads. */
import { drawn, form } from "../../model/tool";
import { pointByPoint } from "../shared/drawing";
import { parameter } from "../shared/fields";

export const tool = form({
  id: "draw-outline",
  name: "Draw outline",
  station: "rough",
  order: 110,
  icon: drawn(["M4 16c1-7 5-11 9-9s6 8 2 11-11 2-11-2z"], [[6.5, 9.5], [17, 11], [8, 19.5]]),
  also: "draw curve line patch",
  hint: "Click points around; Enter, or a click on the first point, closes the outline and fills it.",
  verb: "Fill",
  fields: {
    joined: parameter("fill-drawn", "smooth"),
    around: parameter("fill-drawn", "around", { initial: 12, min: 4 }),
    rings: parameter("fill-drawn", "rings"),
  },
  command(v, { sketch: { spots, closed, towards } }) {
    if (!closed || spots.length < 3) return null;
    const points = spots.map((spot) => spot.point) as [[number, number, number]];
    return { kind: "fill-drawn", name: "Patch", points, towards, smooth: v.joined === "yes", around: v.around, rings: v.rings };
  },
  pointing: pointByPoint(true),
});
