import { mirrorDrawing } from "../../model/drawings";
import { axisNames, verb } from "../../model/tool";
import { choice, length, parameter } from "../shared/fields";
import { axesOf, grip, pointAlong } from "../shared/placing";

export const tool = verb({
  id: "mirror",
  name: "Mirror",
  key: "Shift M",
  station: "shape",
  section: "Both sides",
  order: 80,
  icon: mirrorDrawing,
  also: "symmetry reflect half both sides",
  hint: "Model one side, get the other. A second mirror square to the first makes quarters. The bead moves the plane.",
  needs: "piece",
  eager: true,
  verb: "Mirror",
  then: "move",
  places: "pivot",
  fields: {
    way: parameter("mirror", "way", { keep: true }),
    axis: choice("Plane", { x: "across x", y: "across y", z: "across z" }, { keep: true }),
    at: length("At", 0),
    keep: parameter("mirror", "keep", { keep: true }),
    tolerance: parameter("mirror", "tolerance", { keep: true }),
  },
  shown: {
    keep: (v) => v.way === "cut" || v.way === "follow",
    tolerance: (v) => v.way === "cut" || v.way === "open",
  },
  begins: {
    kind: "mirror",
    read({ way, normal, point }) {
      const axis = Array.isArray(normal) ? normal.indexOf(1) : -1;
      return way === "open" && axis >= 0 ? { way, axis: axisNames[axis], at: (point as number[])[axis] } : {};
    },
  },
  command(v, { piece, placing }) {
    if (!piece) return null;
    const normal = axesOf(placing)["xyz".indexOf(v.axis)];
    const point = pointAlong(normal, v.at, placing);
    return { kind: "mirror", piece: piece.id, way: v.way, point, normal, keep: v.keep, tolerance: v.tolerance };
  },
  grips(v, { placing }) {
    const along = axesOf(placing)["xyz".indexOf(v.axis)];
    return [grip("at", pointAlong(along, v.at, placing), along)];
  },
});
