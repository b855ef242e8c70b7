/** On the card of a follower's tool: why it cannot be done as it is previewed. */
import Typography from "@mui/material/Typography";
import { useBodies } from "../../live/stores/bodies";
import { useDesign } from "../../live/stores/design";
import { useFollowers } from "../../live/stores/followers";
import { usePicking } from "../../live/stores/picking";
import { ShowWhere } from "./ShowWhere";

export function FollowerNote() {
  const piece = usePicking((s) => s.piece);
  const previewed = useDesign((s) => s.preview !== null);
  const editing = useFollowers((s) => s.editing);
  const body = useBodies((s) => (piece ? s.byId[piece] : undefined));
  const note = editing ? body?.notes.find(([id]) => id === editing.follower.id) : body?.notes.at(-1);
  const wrong = note && (note[1] === "failed" || note[1] === "waits");
  const words = previewed && (body?.problem ?? (note && (wrong || note[2]) ? note[2] : null));
  if (!words) return null;
  return (
    <Typography variant="body2" role="status" data-testid="follower-note" sx={{ mt: 0.75, color: body?.problem || wrong ? "error.main" : "#8A5A00" }}>
      {words} <ShowWhere piece={piece} place={body?.problem ? body.place : note?.[3]} />
    </Typography>
  );
}
