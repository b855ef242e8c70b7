/** Put down a curve of a shape, by its sizes. */
import { drawn, form } from "../../model/tool";
import { length, parameter } from "../shared/fields";
import { pointGrips } from "../shared/placing";

type Shape = "circle" | "ellipse" | "arc" | "rounded-rectangle" | "polygon" | "helix" | "wave";
const of = (...shapes: Shape[]) => (v: { shape?: unknown }) => shapes.includes(v.shape as Shape);

export const tool = form({
  id: "curve",
  name: "Curve",
  station: "rough",
  section: "Curves",
  order: 200,
  icon: drawn(["M12 5c5 0 8 3 8 7s-3 7-8 7-8-3-8-7 3-7 8-7z"], [[12, 5], [20, 12], [12, 19], [4, 12]]),
  also: "circle ellipse arc rectangle polygon helix spring wave ring line",
  hint: "The sizes are those of the curve, not of its control points. Pull these, and let a pipe or a loft grow from it.",
  verb: "Put down",
  fields: {
    shape: parameter("add-curve", "shape"),
    diameter: parameter("add-curve", "diameter"),
    width: parameter("add-curve", "width"),
    depth: parameter("add-curve", "depth"),
    radius: parameter("add-curve", "radius"),
    degrees: parameter("add-curve", "degrees"),
    waves: parameter("add-curve", "waves"),
    out: parameter("add-curve", "out"),
    along: parameter("add-curve", "along"),
    pitch: parameter("add-curve", "pitch"),
    turns: parameter("add-curve", "turns"),
    count: parameter("add-curve", "count"),
    stands: parameter("add-curve", "stands", { more: true }),
    at_x: length("Middle x", 0, { more: true }),
    at_y: length("Middle y", 0, { more: true }),
    at_z: length("Middle z", 0, { more: true }),
  },
  shown: {
    diameter: of("circle", "arc", "polygon", "helix", "wave"),
    width: of("ellipse", "rounded-rectangle"),
    depth: of("ellipse", "rounded-rectangle"),
    radius: of("rounded-rectangle"),
    degrees: of("arc"),
    pitch: of("helix"),
    turns: of("helix"),
    waves: of("wave"),
    out: of("wave"),
    along: of("wave"),
    count: (v) => v.shape !== "rounded-rectangle",
  },
  command: (v) => ({
    kind: "add-curve", name: "Curve", shape: v.shape, diameter: v.diameter, width: v.width, depth: v.depth, radius: v.radius, degrees: v.degrees,
    count: v.count, pitch: v.pitch, turns: v.turns, waves: v.waves, out: v.out, along: v.along, centre: [v.at_x, v.at_y, v.at_z], stands: v.stands,
  }),
  grips: (v) => pointGrips(["at_x", "at_y", "at_z"], [v.at_x, v.at_y, v.at_z]),
});
