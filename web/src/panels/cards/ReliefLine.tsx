/** On the cards of relief: what its level comes to, before it is begun. */
import Stack from "@mui/material/Stack";
import Typography from "@mui/material/Typography";
import { pieces } from "../../live/pieces";
import { useDesign } from "../../live/stores/design";
import { usePicking } from "../../live/stores/picking";
import { useSession } from "../../live/stores/session";
import { type CurvePoint, type Profile } from "../../live/stores/reach";
import { change } from "../../live/tooling";
import { levelWords } from "../../model/relief";
import { ProfileCurve } from "../bars/ProfileCurve";

export default function ReliefLine() {
  const id = usePicking((s) => s.piece);
  const piece = useDesign((s) => s.design?.pieces.find((one) => one.id === id));
  const values = useSession((s) => s.values);
  const cage = id === null ? undefined : pieces.byId.get(id)?.cage;
  if (!piece || piece.curve || !cage) return null;
  const depth = piece.relief?.depth ?? 0;
  const brushing = "level" in values;
  const level = brushing ? Number(values.level) : depth + 1;
  const masked = piece.relief?.masked ? " Part of it is protected by a mask." : "";
  const words = (
    <Typography variant="body2" color="text.secondary" data-testid="relief" sx={{ mt: 0.75 }}>
      {!brushing && "Next: "}{levelWords(cage, level, depth, brushing)}{masked}
    </Typography>
  );
  if (!brushing || typeof values.profile !== "string" || !Array.isArray(values.curve)) return words;
  return (
    <Stack direction="row" spacing={1.5} sx={{ alignItems: "center", mt: 0.5 }}>
      <ProfileCurve profile={values.profile as Profile} curve={values.curve as CurvePoint[]} of="brush" onChange={(curve) => change({ profile: "drawn", curve })} />
      {words}
    </Stack>
  );
}
