import { ResampleIcon } from "../theme/icons";
import { count } from "./forms";
import type { Tool } from "./tool";

export const tool: Tool = {
  id: "resample",
  name: "Resample",
  station: "refine",
  section: "Rewire",
  order: 54,
  Icon: ResampleIcon,
  hint: "Of a four-sided region, a strip, or all round a tube. The first number counts along the first edge of the first face.",
  needs: "selection",
  takes: ["face", "piece"],
  eager: true,
  verb: "Resample",
  fields: [
    { ...count("u", "Faces", 8), max: 200, keep: true },
    { ...count("v", "by", 8), max: 200, keep: true },
    { name: "density", label: "Rows", unit: "", initial: 0, step: 1, keep: true, options: ["evenly", "closer where it bends"] },
  ],
  command: (v, target) => target && { kind: "resample", ...target, u: v.u, v: v.v, density: v.density ? "curvature" : "even" },
};
