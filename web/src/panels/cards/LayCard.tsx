/** The card of laying quads: where points fall, and what the next click does. */
import Stack from "@mui/material/Stack";
import Typography from "@mui/material/Typography";
import { useUnit } from "../../live/stores/design";
import { useSketch, useSpot } from "../../live/stores/sketch";
import { lengthsWords } from "../../model/units";
import { WorkingPlane } from "../parts/WorkingPlane";
import { cornersOf } from "../../tools/rough/lay";
import type { CardProps } from "../../model/tool";
import { CardHead } from "../parts/CardHead";

const found: Record<string, string> = {
  vertex: "an existing vertex", edge: "an open edge: both its ends", face: "a face", reference: "the component's surface",
  picture: "the picture", plane: "the working plane",
};

export default function LayCard({ tool }: CardProps) {
  const corners = useSketch((s) => cornersOf(s.spots));
  return (
    <>
      <Stack direction="row" spacing={1.25} useFlexGap sx={{ alignItems: "center", flexWrap: "wrap" }}>
        <CardHead drawing={tool.icon}>Lay quads</CardHead>
        <WorkingPlane />
        <Typography variant="body2" data-testid="laying">{corners} of 4 corners set</Typography>
      </Stack>
      <NextClick />
    </>
  );
}

/** By itself: it changes with every move of the pointer. */
function NextClick() {
  const spot = useSpot((s) => s.spot);
  const unit = useUnit();
  return (
    <Typography variant="body2" color="text.secondary" sx={{ mt: 0.75 }}>
      {spot
        ? `The next click takes ${found[spot.on]}, at ${lengthsWords(spot.point, unit, ", ")}.`
        : "Click four corners around a face. An open edge gives two at once; Enter after three makes a triangle, Backspace takes one back."}
    </Typography>
  );
}
