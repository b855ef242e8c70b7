import { drawn, verb } from "../../model/tool";
import { choice, parameter } from "../shared/fields";

export const tool = verb({
  id: "relief-levels",
  name: "Levels",
  station: "relief",
  section: "All of it",
  order: 50,
  icon: drawn(["M4 19h16M4 14h16M4 9h16", "M8 19V9M12 19V4M16 19V9"]),
  also: "finer subdivide detail remove fold plain less relief",
  hint: "A level more has four times as many points. Folded down, the finest one gives its detail to the one below, as far as that can hold it. Made the cage, the first one is pulled by four times as many faces, and the form stays.",
  needs: "piece",
  verb: "Change",
  fields: {
    way: choice("Way", { finer: "add a level", folded: "fold the finest down", next: "make the first one the cage", solid: "hold it in the solid, as patches", smoothed: "less relief", plain: "take all of it off" }),
    share: parameter("change-relief", "share", { keep: true }),
    levels: parameter("relief-in-solid", "levels"),
  },
  shown: { share: (v) => v.way === "smoothed", levels: (v) => v.way === "solid" },
  missing: ({ piece }) => (!piece ? undefined : piece.curve ? "A curve has no surface for relief." : undefined),
  command(v, { piece }) {
    if (!piece || !(v.way === "finer" || v.way === "next" || piece.relief)) return null;
    if (v.way === "solid") return v.levels === piece.relief_in_solid ? null : { kind: "relief-in-solid", piece: piece.id, levels: v.levels };
    return { kind: "change-relief", piece: piece.id, way: v.way, share: v.share / 100 };
  },
  below: "LevelsLine",
});
