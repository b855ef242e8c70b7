import { NormalsIcon } from "../theme/icons";
import type { Tool } from "./tool";

export const tool: Tool = {
  id: "normals",
  name: "Normals",
  key: "n",
  shift: true,
  station: "shape",
  section: "Clean up",
  order: 94,
  Icon: NormalsIcon,
  hint: "Back sides are tinted: turn over what was picked, or make all of the piece look outwards.",
  needs: "selection",
  verb: "Turn over",
  fields: [{ name: "what", label: "Turn over", unit: "", initial: 0, step: 1, options: ["what hangs together with the picked", "all that looks inwards"] }],
  command: (v, target) => target && (v.what ? { kind: "agree-normals", ...target } : { kind: "flip", ...target }),
};
