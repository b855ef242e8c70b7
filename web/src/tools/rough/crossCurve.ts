/** A line drawn across several curves in the view: the cross curve through them. */
import type { Context } from "../../model/context";
import { drawn, form } from "../../model/tool";
import { twoEnds } from "../shared/drawing";
import { curvesInHand } from "../shared/growth";

/** The curves that are picked as wholes, or else all that are shown. */
function meant(context: Context): string[] {
  const picked = curvesInHand(context);
  const shown = (context.design?.pieces ?? []).filter((p) => p.curve && p.visible);
  return (picked.length > 1 ? picked : shown).map((p) => p.id);
}

export const tool = form({
  id: "cross-curve",
  name: "Cross curve",
  station: "rough",
  section: "Curves",
  order: 202.5,
  icon: drawn(["M3 6c5-3 13-3 18 0", "M3 12c5-3 13-3 18 0", "M3 18c5-3 13-3 18 0", "M12 2c2 6-1 13 0 20"]),
  also: "across outlines through net rib section line",
  hint: "Two clicks draw a line across curves, the picked ones or all that are shown: a curve through them that follows. For a skin's other way.",
  verb: "Draw",
  fields: {},
  command(_, context) {
    const { spots, towards } = context.sketch;
    const curves = meant(context);
    if (spots.length < 2 || curves.length < 2) return null;
    return { kind: "cross-curve", curves, start: spots[0].point, end: spots[1].point, towards, eye: context.view.eye };
  },
  pointing: twoEnds(() => true),
});
