/** On the card of tracing: what is set, and what the next click takes. */
import Typography from "@mui/material/Typography";
import { useDesign, useUnit } from "../../live/stores/design";
import { useSketch, useSpot } from "../../live/stores/sketch";
import { lengthsWords } from "../../model/units";
import { cornersOf } from "../../tools/rough/lay";

const found: Record<string, string> = {
  vertex: "a vertex that is there", edge: "a side that is there, both its ends", face: "the form, dropped onto the scan", reference: "the scan",
  picture: "a picture, dropped onto the scan", plane: "the working plane, dropped onto the scan",
};

export default function TraceLine() {
  const corners = useSketch((s) => cornersOf(s.spots));
  const none = useDesign((s) => !s.design?.references.some((r) => r.kind === "component"));
  const spot = useSpot((s) => s.spot);
  const unit = useUnit();
  if (none) return <Typography variant="body2" role="status" sx={{ mt: 0.75 }}>There is no component to trace: bring a scan in first.</Typography>;
  return (
    <Typography variant="body2" color="text.secondary" data-testid="tracing" sx={{ mt: 0.75 }}>
      {corners} of 4 corners set{spot ? `; the next click takes ${found[spot.on]}, at ${lengthsWords(spot.point, unit, ", ")}.` : "."}
    </Typography>
  );
}
