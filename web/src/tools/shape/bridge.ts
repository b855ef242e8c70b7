import { drawn, verb } from "../../model/tool";
import { bothEnds } from "../shared/ends";
import { parameter } from "../shared/fields";

export const tool = verb({
  id: "bridge",
  name: "Bridge",
  key: "Shift B",
  station: "shape",
  section: "Join",
  order: 50,
  icon: drawn(["M3 19h4v-4H3zM17 19h4v-4h-4z", "M5 15C5 5 19 5 19 15", "M8 15c0-5 8-5 8 0"]),
  also: "hole tunnel handle connect tube",
  hint: "Two groups of faces, or two chains of open edges. The best pairing is shown; shift it by one where another is meant.",
  needs: "selection",
  takes: ["face", "edge"],
  eager: true,
  ends: true,
  verb: "Bridge",
  then: "move",
  fields: {
    segments: parameter("bridge", "segments", { initial: 4 }),
    strength: parameter("bridge", "strength", { initial: 100, keep: true }),
    shift: parameter("bridge", "shift"),
    loops: parameter("bridge", "add_loops"),
  },
  waysOut: { "/problems/bridge-counts": { words: "Add the missing loops", values: { loops: "yes" } } },
  begins: { kind: "bridge" },
  command(v, context) {
    const ends = bothEnds(context);
    return ends && { kind: "bridge", ...ends, segments: v.segments, strength: v.strength / 100, shift: v.shift, add_loops: v.loops === "yes" };
  },
});
