import { drawn } from "../../model/tool";
import { sculpting } from "../shared/brush";

export const tool = sculpting({
  brush: "scrape",
  measure: "share",
  name: "Scrape",
  section: "Even",
  order: 32,
  icon: drawn(["M2 18c3 0 3-6 5-6h10c2 0 2 6 5 6", "M8 8.500l9-5M8 8.500h4"]),
  hint: "Takes off what stands above the mean plane; its opposite fills what lies below.",
  also: "fill plane shave",
});
