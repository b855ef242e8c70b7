import { drawn, verb } from "../../model/tool";
import { choice } from "../shared/fields";

export const tool = verb({
  id: "normals",
  name: "Normals",
  key: "Shift N",
  station: "shape",
  section: "Clean up",
  order: 94,
  icon: drawn(["M4 16l8 4 8-4-8-4z", "M12 16V5", "M10 7l2-2.500L14 7"]),
  also: "flip turn over inside out",
  hint: "Back sides are tinted: turn over what was picked, or make all of the piece look outwards.",
  needs: "selection",
  verb: "Turn over",
  fields: { what: choice("Turn over", { picked: "what hangs together with the picked", inward: "all that looks inwards" }) },
  command: (v, { target }) => target && { kind: v.what === "inward" ? "agree-normals" : "flip", ...target },
});
