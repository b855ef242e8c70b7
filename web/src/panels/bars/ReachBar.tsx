/** How far a change carries around the picked: radius, along the cage or through space, profile, and limits. */
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useShallow } from "zustand/react/shallow";
import { changeReach } from "../../live/reaching";
import { usePiece } from "../../live/stores/design";
import { usePicking } from "../../live/stores/picking";
import { type Profile, profiles, useReach } from "../../live/stores/reach";
import type { NumberField as Field } from "../../model/fields";
import { NumberField } from "../parts/NumberField";
import { ProfileCurve } from "./ProfileCurve";

const radiusField: Field = { is: "number", label: "Reach", unit: "mm", initial: 0, step: 1, min: 0 };

export function ReachBar() {
  const [radius, inSpace, profile, curve] = useReach(useShallow((s) => [s.radius, s.inSpace, s.profile, s.curve] as const));
  return (
    <>
      <NumberField field={radiusField} value={radius} onChange={(v) => changeReach({ radius: v })} />
      {radius > 0 && (
        <>
          <TextField select label="Measured" value={inSpace ? 1 : 0} onChange={(event) => changeReach({ inSpace: Number(event.target.value) === 1 })} sx={{ minWidth: 128 }}>
            <MenuItem value={0}>along the cage</MenuItem>
            <MenuItem value={1}>through space</MenuItem>
          </TextField>
          <TextField select label="Profile" value={profile} onChange={(event) => changeReach({ profile: event.target.value as Profile })} sx={{ minWidth: 104 }}>
            {profiles.map((one) => (
              <MenuItem key={one} value={one}>{one}</MenuItem>
            ))}
          </TextField>
          <ProfileCurve profile={profile} curve={curve} of="reach" onChange={(curve) => changeReach({ curve, profile: "drawn" })} />
          <Limit />
        </>
      )}
    </>
  );
}

function Limit() {
  const within = useReach((s) => s.within);
  const [piece, pickKind, picked] = usePicking(useShallow((s) => [s.piece, s.pickKind, s.picked] as const));
  const name = usePiece(piece)?.name ?? "";
  if (within?.piece === piece) return <Button size="small" onClick={() => changeReach({ within: null })}>No limit again</Button>;
  return (
    <Button
      size="small"
      title={`Only the picked ${pickKind === "face" ? "faces" : "elements"} of ${name} will take part from now on`}
      disabled={!piece || !picked.length || pickKind === "piece"}
      onClick={() => piece && changeReach({ within: { piece, kind: pickKind, ids: picked } })}
    >
      Limit to the picked
    </Button>
  );
}
