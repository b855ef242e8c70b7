import { drawn } from "../../model/tool";
import { plus } from "../../model/vec";
import { count, parameter } from "../shared/fields";
import { formTool } from "../shared/forms";

export const tool = formTool({
  id: "torus",
  name: "Torus",
  order: 60,
  icon: drawn(["M12 6.500c5 0 9 2.500 9 5.500s-4 5.500-9 5.500-9-2.500-9-5.500 4-5.500 9-5.500z", "M8 11.500c.8 1.300 7.200 1.300 8 0", "M9 12c1-1.200 5-1.200 6 0"]),
  also: "ring donut",
  hint: "The ring is measured along the centre line of its section.",
  fields: {
    ring: parameter("add-torus", "ring", { initial: 40 }), section: parameter("add-torus", "section", { initial: 10 }),
    around: count("Faces around", 8, 3), about: count("Faces about the section", 6, 3),
  },
  form: (v) => ({ kind: "add-torus", ring: v.ring, section: v.section, counts: [v.around, v.about] }),
  beads(v, beads) {
    const ring = beads.at("ring", 0);
    const up = beads.own(2);
    return [ring, { kind: "grip", field: "section", at: plus(ring.at, up, v.section / 2), along: up, gain: 2 }];
  },
});
