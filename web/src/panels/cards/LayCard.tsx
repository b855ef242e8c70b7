/** The card of laying quads: where points fall, and what the next click does. */
import Stack from "@mui/material/Stack";
import Typography from "@mui/material/Typography";
import { useBench } from "../../live/bench";
import { lengthsWords } from "../../live/units";
import { LayIcon } from "../../theme/icons";
import { useSketch } from "../../viewport/pointing";
import { WorkingPlane } from "./SnapCard";

const found: Record<string, string> = {
  vertex: "an existing vertex", edge: "an open edge: both its ends", face: "a face", reference: "the component's surface",
  picture: "the picture", plane: "the working plane",
};

export function LayCard() {
  const { spots, hover } = useSketch();
  const unit = useBench((s) => s.design?.unit ?? "mm");
  const corners = spots.reduce((sum, spot) => sum + Math.max(1, spot.vertices.length), 0);
  return (
    <>
      <Stack direction="row" spacing={1.25} useFlexGap sx={{ alignItems: "center", flexWrap: "wrap" }}>
        <Stack direction="row" spacing={0.75} sx={{ alignItems: "center", color: "primary.main" }}>
          <LayIcon />
          <Typography variant="h3" sx={{ color: "text.primary" }}>Lay quads</Typography>
        </Stack>
        <WorkingPlane />
        <Typography variant="body2" data-testid="laying">{corners} of 4 corners set</Typography>
      </Stack>
      <Typography variant="body2" color="text.secondary" sx={{ mt: 0.75 }}>
        {hover
          ? `The next click takes ${found[hover.on]}, at ${lengthsWords(hover.point, unit, ", ")}.`
          : "Click four corners around a face. An open edge gives two at once; Enter after three makes a triangle, Backspace takes one back."}
      </Typography>
    </>
  );
}
