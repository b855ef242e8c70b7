/** A picture as light would show it: metal, stone, glass and clay. */
import { card, drawn } from "../../model/tool";

export const tool = card({
  id: "true-picture", name: "True picture", station: "prove", section: "Hand over", order: 61, also: "render photo image metal gold glass light show present", hint: "", card: "TruePictureCard",
  icon: drawn(["M4 7h4l1.500-2.500h5L16 7h4v12H4z", "M12 9.500c2 0 3.500 1.500 3.500 3.500s-1.500 3.500-3.500 3.500-3.500-1.500-3.500-3.500 1.500-3.500 3.500-3.500z"]),
});
