import { drawn, verb } from "../../model/tool";
import { length as lengthOf, plus, times, type Vec } from "../../model/vec";
import { choice, kept, parameter } from "../shared/fields";

export const tool = verb({
  id: "slide",
  name: "Slide",
  key: "Shift S",
  station: "refine",
  section: "Along the cage",
  order: 40,
  icon: drawn(["M4 4c5 4 5 12 0 16", "M12 4c5 4 5 12 0 16", "M16.500 12H21M18.800 9.800L21 12l-2.200 2.200"]),
  also: "move edge along",
  hint: "Drag the bead: picked edges go to one side along the cage. A picked vertex follows the pointer along its best edge.",
  needs: "selection",
  takes: ["edge", "vertex"],
  verb: "Slide",
  fields: {
    by: choice("By", { share: "share of the way", length: "length" }, { keep: true }),
    share: parameter("slide", "share", { min: -99, max: 99, slider: true }),
    distance: parameter("slide", "distance"),
    towards: kept<Vec | null>(null),
  },
  shown: {
    by: (_, { pickKind }) => pickKind !== "vertex",
    share: (v, { pickKind }) => v.by === "share" && pickKind !== "vertex",
    distance: (v, { pickKind }) => v.by === "length" || pickKind === "vertex",
  },
  command(v, { target, view }) {
    if (!target) return null;
    // Without a drag to tell where to: upwards on the screen.
    if (target.picked.kind === "vertex")
      return v.distance ? { kind: "slide", ...target, distance: v.distance, towards: v.towards ?? view.frame[1] } : null;
    if (v.by === "length") return v.distance ? { kind: "slide", ...target, distance: v.distance } : null;
    return v.share ? { kind: "slide", ...target, share: v.share / 100 } : null;
  },
  parts: [{ kind: "bead" }],
  dragged({ vector }, start, { pickKind, view }) {
    if (pickKind === "vertex") {
      const [right, up] = view.frame;
      const towards = plus(times(right, vector[0]), up, vector[1]);
      return { values: { ...start, towards, distance: lengthOf(towards) }, field: "distance" };
    }
    const along = Math.abs(vector[0]) > Math.abs(vector[1]) ? vector[0] : vector[1];
    if (start.by === "length") return { values: { ...start, distance: start.distance + along }, field: "distance" };
    // A share has no length of its own on the screen: two pixels are one per cent.
    const share = start.share + along / view.pixel / 2;
    return { values: { ...start, share: Math.max(-99, Math.min(99, share)) }, field: "share" };
  },
});
