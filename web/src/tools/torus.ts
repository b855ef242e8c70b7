import { TorusIcon } from "../theme/icons";
import { count, formTool, grip, own, size } from "./forms";

export const tool = formTool({
  id: "torus",
  name: "Torus",
  order: 60,
  Icon: TorusIcon,
  hint: "The ring is measured along the centre line of its section.",
  fields: [
    size("ring", "Ring diameter", 40), size("section", "Section diameter", 10),
    count("around", "Faces around", 8, 3), count("about", "Faces about the section", 6, 3),
  ],
  form: (v) => ({ kind: "add-torus", ring: v.ring, section: v.section, counts: [v.around, v.about] }),
  sizes: (v) => {
    const outwards = own(v, 0);
    const up = own(v, 2);
    const ring = grip(v, "ring", 0);
    const at = ring.at.map((x, i) => x + (up[i] * v.section) / 2) as [number, number, number];
    return [{ ...ring, along: outwards }, { kind: "grip", field: "section", at, along: up, gain: 2 }];
  },
});
