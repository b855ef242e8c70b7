/** Turn the piece and its followers into a solid: its certificate, STEP and files of triangles. */
import { card, drawn } from "../../model/tool";

export const tool = card({
  id: "solid", name: "Solid", key: "O", station: "make", order: 10, opens: true, also: "export STEP STL 3MF GLB file volume weight certificate", hint: "", card: "SolidCard",
  icon: drawn(["M12 3c5 0 8 4 8 9s-3 9-8 9-8-4-8-9 3-9 8-9z", "M8.500 12.500l2.500 2.500 5-5.500"]),
});
