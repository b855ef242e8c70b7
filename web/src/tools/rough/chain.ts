import { drawn, verb } from "../../model/tool";
import { parameter } from "../shared/fields";
import { curvesInHand } from "../shared/growth";

export const tool = verb({
  id: "chain",
  name: "Chain",
  station: "rough",
  section: "Growing",
  order: 222,
  icon: drawn(["M3 12c0-2 1.300-3.200 3-3.200h2c1.700 0 3 1.200 3 3.200s-1.300 3.200-3 3.200h-2c-1.700 0-3-1.200-3-3.200z", "M13 12c0-2 1.300-3.200 3-3.200h2c1.700 0 3 1.200 3 3.200s-1.300 3.200-3 3.200h-2c-1.700 0-3-1.200-3-3.200z", "M8.500 12h7"]),
  also: "links necklace wire cable bracelet jewelry jewellery",
  hint: "Links through one another along a curve, as many as go. Pull the curve, or the one link, which is hidden, and all follow.",
  needs: "piece",
  eager: true,
  then: "move",
  verb: "Lay",
  fields: {
    wire: parameter("lay-chain", "wire"),
    length: parameter("lay-chain", "length"),
    width: parameter("lay-chain", "width"),
    play: parameter("lay-chain", "play"),
    around: parameter("lay-chain", "around", { more: true }),
  },
  moreWords: "Faces…",
  missing: (context) => (curvesInHand(context).length ? null : "Pick a curve first: its line, or one of its points, or its name."),
  command(v, context) {
    const [curve] = curvesInHand(context);
    return curve ? { kind: "lay-chain", curve: curve.id, wire: v.wire, length: v.length, width: v.width, play: v.play, around: v.around, name: "Chain" } : null;
  },
});
