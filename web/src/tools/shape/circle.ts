import { drawn, verb } from "../../model/tool";
import { parameter } from "../shared/fields";

export const tool = verb({
  id: "circle",
  name: "Circle",
  key: "Shift C",
  station: "shape",
  section: "Even out",
  order: 74,
  icon: drawn(["M12 4a8 8 0 1 0 0 16 8 8 0 0 0 0-16z"], [[12, 4], [19, 15.5], [5, 15.5]]),
  also: "round hole ring",
  hint: "Makes each picked loop round, in the plane that fits it best. Of faces the border is meant. Radius 0 leaves it as large as it is.",
  needs: "selection",
  takes: ["edge", "vertex", "face"],
  eager: true,
  verb: "Make round",
  fields: {
    radius: parameter("circle", "radius", { above: undefined, min: 0 }),
    even: parameter("circle", "even", { keep: true }),
    share: parameter("circle", "share"),
  },
  command: (v, { target }) =>
    target && { kind: "circle", ...target, radius: v.radius || null, even: v.even === "yes", share: v.share / 100 },
  parts: [{ kind: "bead" }],
  dragged: ({ vector }, start) => ({ values: { radius: Math.max(0, start.radius + vector[0]) }, field: "radius" }),
});
