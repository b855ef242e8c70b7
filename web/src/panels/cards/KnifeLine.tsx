/** On the card of the knife: what the next click does, while a line is drawn across the view. */
import Button from "@mui/material/Button";
import Stack from "@mui/material/Stack";
import Typography from "@mui/material/Typography";
import { preview } from "../../live/line";
import { useSession } from "../../live/stores/session";
import { clearSketch, useSketch } from "../../live/stores/sketch";

const words = ["Click where the line begins.", "Click where it ends.", "The line is drawn."];

export default function KnifeLine() {
  const drawn = useSession((s) => s.values.how === "drawn");
  const count = useSketch((s) => s.spots.length);
  if (!drawn) return null;
  const anew = () => {
    clearSketch();
    preview(null);
  };
  return (
    <Stack direction="row" spacing={1.25} sx={{ alignItems: "center", mt: 0.75 }}>
      <Typography variant="body2">{words[count]}</Typography>
      {count > 0 && <Button size="small" onClick={anew}>Draw it anew</Button>}
    </Stack>
  );
}
