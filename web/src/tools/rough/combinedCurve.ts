import { drawn } from "../../model/tool";
import { choice, count } from "../shared/fields";
import { growthTool } from "../shared/growth";

export const tool = growthTool({
  id: "combine-curves",
  name: "Combine views",
  station: "rough",
  section: "Curves",
  order: 203,
  icon: drawn(["M3 4v13h9", "M3 12c3-1 3-6 8-7", "M13 20c2-5 6-3 8-9", "M12 17l4 3"]),
  also: "two views curves into one space front right",
  hint: "One curve in space that looks like the first in one view and like the second in the other; it follows both.",
  verb: "Combine",
  fields: {
    views: choice("Seen from", { "front and right": "front and right", "front and top": "front and top", "right and top": "right and top" }),
    count: count("Points", 12, 3, { max: 400 }),
  },
  kind: "combined",
  curves: [2, 2],
  make: (v, [first, second]) => ({ kind: "combined", first, second, views: v.views, count: v.count }),
  read: (g) => ({ views: g.views, count: g.count }),
});
