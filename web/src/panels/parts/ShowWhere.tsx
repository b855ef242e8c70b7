/** The button that shows where something is the matter: lights the place up and turns the eye to it. */
import Button from "@mui/material/Button";
import { hasPlace, showPlace } from "../../live/stores/shown";
import type { Place } from "../../model/types";

export function ShowWhere({ piece, place }: { piece: string | null; place: Partial<Place> | null | undefined }) {
  if (!hasPlace(place)) return null;
  return (
    <Button size="small" color="inherit" onClick={() => showPlace(piece, place)} sx={{ py: 0, minWidth: 0, textDecoration: "underline" }}>
      Show where
    </Button>
  );
}
