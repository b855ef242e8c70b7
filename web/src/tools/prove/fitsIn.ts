import { drawn } from "../../model/tool";
import type { Vec } from "../../model/vec";
import { choice, length } from "../shared/fields";
import { proofTool } from "../shared/proof";

/** Boxes that are asked for again and again, in mm: the bed of the simulated print bench, and what a hand holds (thumb to little finger
 * spread, across the palm, and as far as fingers close round); common practice, no source. The numbers can be changed. */
const boxes: Record<"bed" | "hand", Vec> = { bed: [220, 220, 250], hand: [190, 90, 60] };

export const tool = proofTool({
  id: "prove-fits", name: "Fits in", order: 21, section: "Sizes",
  icon: drawn(["M4 5h16v14H4z", "M8 15c0-6 8-6 8 0z"]),
  also: "box bed envelope room space machine",
  hint: "It fits into a box of these sizes: a machine's bed, a parcel, a hand's span.",
  fields: {
    into: choice("Into", { own: "sizes typed", bed: "the print bench's bed", hand: "a hand's span" }),
    x: length("Width", 100, { above: 0 }), y: length("Depth", 100, { above: 0 }), z: length("Height", 100, { above: 0 }),
    turned: choice("Turned by quarters", { yes: "if that helps", no: "no: as it stands" }),
  },
  // What it fits into gives the sizes; other sizes are sizes typed.
  typed(v, field) {
    if (field === "into" && v.into !== "own") {
      const [x, y, z] = boxes[v.into];
      return { ...v, x, y, z };
    }
    return field === "into" || field === "turned" ? v : { ...v, into: "own" };
  },
  mends: { tool: "size", picks: "piece" },
  kind: "fits-in", ofBody: true,
  make: ({ x, y, z, turned }) => ({ kind: "fits-in", size: [x, y, z] as Vec, turned: turned === "yes" }),
  read({ size: [x, y, z] = [100, 100, 100], turned }) {
    return { into: "own", x, y, z, turned: turned === false ? "no" : "yes" };
  },
});
