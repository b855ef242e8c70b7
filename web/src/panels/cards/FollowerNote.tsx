/** On the card of a follower's tool: why it cannot be done as it is previewed. */
import Typography from "@mui/material/Typography";
import type { ComponentType } from "react";
import { useBench } from "../../live/bench";
import { useBodies } from "../../live/bodies";
import { useFollowers } from "../../live/followers";
import { ShowWhere } from "../ShowWhere";

export const FollowerNote = (Own?: ComponentType) =>
  function Below() {
    const { piece, preview } = useBench();
    const editing = useFollowers((s) => s.editing);
    const body = useBodies((s) => (piece ? s.byId[piece] : undefined));
    const note = editing ? body?.notes.find(([id]) => id === editing.follower.id) : body?.notes.at(-1);
    const wrong = note && (note[1] === "failed" || note[1] === "waits");
    const words = preview && (body?.problem ?? (note && (wrong || note[2]) ? note[2] : null));
    const place = body?.problem ? body.place : note?.[3];
    return (
      <>
        {Own && <Own />}
        {words && (
          <Typography variant="body2" role="status" data-testid="follower-note" sx={{ mt: 0.75, color: body?.problem || wrong ? "error.main" : "#8A5A00" }}>
            {words} <ShowWhere piece={piece} place={place} />
          </Typography>
        )}
      </>
    );
  };
