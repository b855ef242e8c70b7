import { drawn } from "../../model/tool";
import type { Vec } from "../../model/vec";
import { choice, length } from "../shared/fields";
import { proofTool } from "../shared/proof";

export const tool = proofTool({
  id: "prove-fits", name: "Fits in", order: 21, section: "Sizes",
  icon: drawn(["M4 5h16v14H4z", "M8 15c0-6 8-6 8 0z"]),
  also: "box bed envelope room space machine",
  hint: "It fits into a box of these sizes: a machine's bed, a parcel, a hand's span.",
  fields: {
    x: length("Width", 100, { above: 0 }), y: length("Depth", 100, { above: 0 }), z: length("Height", 100, { above: 0 }),
    turned: choice("Turned by quarters", { yes: "if that helps", no: "no: as it stands" }),
  },
  mends: { tool: "size", picks: "piece" },
  kind: "fits-in", ofBody: true,
  make: ({ x, y, z, turned }) => ({ kind: "fits-in", size: [x, y, z] as Vec, turned: turned === "yes" }),
  read({ size: [x, y, z] = [100, 100, 100], turned }) {
    return { x, y, z, turned: turned === false ? "no" : "yes" };
  },
});
