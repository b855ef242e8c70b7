import { JoinIcon } from "../theme/icons";
import type { Tool } from "./tool";

export const tool: Tool = {
  id: "join",
  name: "Join",
  key: "j",
  shift: true,
  station: "shape",
  section: "Join",
  order: 58,
  Icon: JoinIcon,
  hint: "Makes the picked pieces one, each as it stands. Bridge, zip or weld them then.",
  needs: "pieces",
  verb: "Join",
  fields: [],
  command: (_, target) => target?.others ? { kind: "join-pieces", pieces: [target.piece, ...target.others] as [string, string] } : null,
};
