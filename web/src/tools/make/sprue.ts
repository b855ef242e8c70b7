import { drawn } from "../../model/tool";
import type { Vec } from "../../model/vec";
import { kept } from "../shared/fields";
import { followerTool, length } from "../shared/follower";

const none: Vec = [0, 0, 0];

export const tool = followerTool({
  id: "sprue",
  name: "Sprue",
  order: 69,
  section: "Stones",
  icon: drawn(["M4 15c3-3 13-3 16 0", "M10 13V4h4v9", "M8 4h8"]),
  also: "gate feed cast stub",
  hint: "A stub by which metal runs in. Click where it is to stand.",
  fields: {
    diameter: length("Diameter", 2.5, { step: 0.1, above: 0 }),
    length: length("Length", 8, { step: 0.5, above: 0 }),
    point: kept<Vec>(none),
    along: kept<Vec>(none),
  },
  pointing: {
    active: () => true,
    query: () => ({ surface: true }),
    click: (spot, towards, _context, hands) => hands.set({ point: spot.point, along: spot.normal ?? towards }),
  },
  missing: ({ piece, values }) => (piece ? ((values.along as Vec | undefined)?.some((x) => x) === false ? "Click on the form, where the sprue is to stand." : null) : undefined),
  kinds: ["sprue"],
  make({ diameter, length: long, point: [x, y, z], along: [a, b, c] }) {
    return a || b || c ? { kind: "sprue", diameter, length: long, point: [x, y, z] as Vec, along: [a, b, c] as Vec } : null;
  },
  read: (f) => ({ diameter: f.diameter, length: f.length, point: f.point ?? none, along: f.along ?? none }),
});
