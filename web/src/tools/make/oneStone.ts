import { drawn, verb } from "../../model/tool";
import { parameter } from "../shared/fields";

const stays = (v: { gone?: unknown }) => v.gone !== "yes";

export const tool = verb({
  id: "one-stone",
  name: "One stone",
  station: "make",
  section: "Stones",
  order: 60.5,
  icon: drawn(["M12 4l5 4-5 12-5-12z", "M7 8h10", "M3 5v5", "M21 5v5"]),
  also: "single turn size sink remove",
  hint: "Of stones in hand one alone, counted as they were laid: turned, sunk or sized beside the others, or taken away.",
  needs: "piece",
  verb: "Change",
  fields: {
    stone: parameter("change-stone", "stone"),
    turn: parameter("change-stone", "turn"),
    sink: parameter("change-stone", "sink"),
    size: parameter("change-stone", "size"),
    gone: parameter("change-stone", "gone"),
  },
  shown: { turn: stays, sink: stays, size: stays },
  missing: ({ piece }) => (piece?.grown?.kind === "stones" ? null : "Take stones in hand first: click one of them, or their name."),
  command: (v, { piece }) =>
    piece && { kind: "change-stone", piece: piece.id, stone: v.stone, turn: v.turn, sink: v.sink, size: v.size, gone: v.gone === "yes" },
});
