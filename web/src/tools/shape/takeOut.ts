/** One image of a repeat taken out, to be a piece of its own. */
import { drawn, verb } from "../../model/tool";
import { count } from "../shared/fields";

export const tool = verb({
  id: "take-out",
  name: "Take out",
  station: "shape",
  section: "Join",
  order: 61,
  icon: drawn(["M4 5h5v5H4z", "M4 14h5v5H4z", "M13 9h5v5h-5z", "M20 11.500h2M18 11.500h4"]),
  also: "repeat image copy independent alone instance single",
  hint: "Click one image of the repeat in hand: it becomes a piece of its own, and follows no longer.",
  needs: "piece",
  verb: "Take out",
  fields: { image: count("Image", 1, 1) },
  missing: ({ piece }) => (piece?.grown?.kind === "repeat" ? null : "Take a repeat in hand first: click one of its images, or its name."),
  command: (v, { piece }) => (piece?.grown?.kind === "repeat" ? { kind: "take-image-out", piece: piece.id, image: v.image - 1 } : null),
  pointing: {
    active: ({ piece }) => piece?.grown?.kind === "repeat",
    query: () => ({ images: true }),
    click(spot, _, { piece }, hands) {
      if (spot.piece === piece?.id && spot.image !== undefined) hands.set({ image: spot.image + 1 });
    },
  },
});
