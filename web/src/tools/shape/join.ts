import { drawn, verb } from "../../model/tool";

export const tool = verb({
  id: "join",
  name: "Join",
  key: "Shift J",
  station: "shape",
  section: "Join",
  order: 58,
  icon: drawn(["M3 8h9v9H3z", "M9 5h12v9h-9"]),
  also: "merge attach unite",
  hint: "Makes the picked pieces one, each as it stands. Bridge, zip or weld them then.",
  needs: "pieces",
  verb: "Join",
  then: "move",
  fields: {},
  command: (_, { target }) =>
    target?.others ? { kind: "join-pieces", pieces: [target.piece, ...target.others] as [string, string] } : null,
});
