import { drawn } from "../../model/tool";
import { count, length } from "../shared/fields";
import type { Context } from "../../model/context";
import { sourcesOf } from "../../model/growths";
import { curvesInHand, facedInHand, growthTool } from "../shared/growth";

/** What it goes to, beside its curve: another curve, or a piece with faces. */
function far(context: Context) {
  const { regrowing, design } = context;
  const ids = regrowing?.grown ? sourcesOf(regrowing.grown) : [...curvesInHand(context), ...facedInHand(context)].map((p) => p.id);
  return design?.pieces.find((p) => p.id === ids[1]) ?? null;
}
const apart = (_: unknown, context: Context) => far(context) === null;
const offSurface = (_: unknown, context: Context) => far(context)?.curve === null;

export const tool = growthTool({
  id: "strip",
  name: "Strip",
  order: 215,
  icon: drawn(["M3 9c4-6 7 3 11 0s4-3 7-2", "M3 17c4-6 7 3 11 0s4-3 7-2", "M3 9v8", "M21 7v8"]),
  also: "extrude curve ribbon band wall draw out",
  hint: "The curve drawn out by a way; with a second curve picked across to it, with a piece that has faces off its surface.",
  verb: "Let it grow",
  fields: {
    x: length("By x", 0),
    y: length("By y", 0),
    z: length("By z", 10),
    height: length("Off the surface", 5),
    count: count("Faces across", 1, 1, { max: 200 }),
  },
  kind: "strip",
  shown: { x: apart, y: apart, z: apart, height: offSurface },
  curves: [1, 2],
  from: (context) => [...curvesInHand(context), ...facedInHand(context)],
  missing: (context) => (context.regrowing || curvesInHand(context).length ? null : "Pick a curve first: its line, or one of its points, or its name."),
  make(v, [source, other], context) {
    const faced = offSurface(v, context);
    return {
      kind: "strip", source, other: faced ? "" : (other ?? ""), surface: faced ? other : "", by: [v.x, v.y, v.z], count: v.count, height: v.height,
    };
  },
  read(g) {
    const [x, y, z] = g.by ?? [0, 0, 10];
    return { x, y, z, count: g.count, height: g.height };
  },
});
