import { aroundDrawing } from "../../model/drawings";
import { verb } from "../../model/tool";
import { choice, parameter } from "../shared/fields";
import { axesOf } from "../shared/placing";

export const tool = verb({
  id: "around",
  name: "Radial",
  key: "Shift R",
  station: "shape",
  section: "Both sides",
  order: 82,
  icon: aroundDrawing,
  also: "radial symmetry array sectors repeat",
  hint: "So many sectors about an axis, through the pivot where one is set. Borders that meet are joined.",
  needs: "piece",
  eager: true,
  verb: "Repeat",
  then: "move",
  places: "pivot",
  fields: {
    way: parameter("repeat-around", "way", { keep: true }),
    axis: choice("About", { x: "x", y: "y", z: "z" }, { keep: true, initial: "z" }),
    sectors: parameter("repeat-around", "sectors", { initial: 6, keep: true }),
    mirrored: parameter("repeat-around", "mirrored", { keep: true }),
    tolerance: parameter("repeat-around", "tolerance", { keep: true }),
  },
  shown: { tolerance: (v) => v.way === "open" },
  command(v, { piece, placing }) {
    if (!piece) return null;
    const frame = axesOf(placing);
    const axis = "xyz".indexOf(v.axis);
    return {
      kind: "repeat-around", piece: piece.id, way: v.way, point: placing.pivot ?? [0, 0, 0], along: frame[axis], sectors: v.sectors,
      mirrored: v.mirrored === "yes", towards: frame[(axis + 1) % 3], tolerance: v.tolerance,
    };
  },
});
