/** How far a change carries around the picked: radius, along the cage or through space, profile, and limits. */
import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useBench } from "../live/bench";
import { type Profile, profiles, useReach } from "../live/reach";
import type { Field } from "../tools/tool";
import { NumberField } from "./NumberField";
import { ProfileCurve } from "./ProfileCurve";

const radiusField: Field = { name: "radius", label: "Reach", unit: "mm", initial: 0, step: 1, min: 0 };

/** What the reach adds up to has changed: the preview and the colours follow. */
export function reachChanged(): void {
  const { touched, values, setValues, weigh } = useBench.getState();
  if (touched) setValues({ ...values });
  weigh();
}

export function ReachBar() {
  const { radius, inSpace, profile, within, set } = useReach();
  const { piece, pickKind, picked, design } = useBench();
  const change = (next: Parameters<typeof set>[0]) => {
    set(next);
    reachChanged();
  };
  const limited = within && within.piece === piece;
  const name = design?.pieces.find((p) => p.id === piece)?.name ?? "";
  return (
    <>
      <NumberField field={radiusField} value={radius} onChange={(v) => change({ radius: v })} />
      {radius > 0 && (
        <>
          <TextField select label="Measured" value={inSpace ? 1 : 0} onChange={(event) => change({ inSpace: Number(event.target.value) === 1 })} sx={{ minWidth: 128 }}>
            <MenuItem value={0}>along the cage</MenuItem>
            <MenuItem value={1}>through space</MenuItem>
          </TextField>
          <TextField select label="Profile" value={profile} onChange={(event) => change({ profile: event.target.value as Profile })} sx={{ minWidth: 104 }}>
            {profiles.map((one) => (
              <MenuItem key={one} value={one}>{one}</MenuItem>
            ))}
          </TextField>
          <ProfileCurve onChange={(curve) => change({ curve, profile: "drawn" })} />
          {limited ? (
            <Button size="small" onClick={() => change({ within: null })}>No limit again</Button>
          ) : (
            <Button
              size="small"
              title={`Only the picked ${pickKind === "face" ? "faces" : "elements"} of ${name} will take part from now on`}
              disabled={!picked.length || pickKind === "piece"}
              onClick={() => change({ within: { piece: piece!, kind: pickKind, ids: picked } })}
            >
              Limit to the picked
            </Button>
          )}
        </>
      )}
    </>
  );
}
