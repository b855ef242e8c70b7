/** What a tool may ask for. */
import type { Hands } from "../model/context";
import { bend, give, preview } from "./line";
import { useCurves } from "./stores/curves";
import { say } from "./stores/problem";
import { useShow } from "./stores/show";
import { clearSketch, useSketch } from "./stores/sketch";
import { change } from "./tooling";

export const hands: Hands = {
  give,
  show: preview,
  set: change,
  again: () => change({}),
  sketch: (part) => useSketch.setState(part),
  clearSketch,
  say,
  cut: (section) => useShow.setState({ section }),
  cutCurve(section) {
    useCurves.setState({ section });
    bend();
  },
};
