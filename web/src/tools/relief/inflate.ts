import { drawn } from "../../model/tool";
import { sculpting } from "../shared/brush";

export const tool = sculpting({
  brush: "inflate",
  measure: "height",
  name: "Inflate",
  section: "Raise",
  order: 11,
  icon: drawn(["M2 19h5c-4-5 0-11 5-11s9 6 5 11h5", "M6.500 8L4.500 6M17.500 8l2-2M12 5V2.500"]),
  hint: "Moves each point along its own normal: round things swell.",
  also: "deflate swell puff",
  stamped: true,
});
