/** A plane square to an axis, or none: which axis, and how far along it, by number or by slider. */
import Slider from "@mui/material/Slider";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { pieces } from "../../live/pieces";
import type { NumberField as Field } from "../../model/fields";
import { NumberField } from "./NumberField";

export type Axis = 0 | 1 | 2;

const atField: Field = { is: "number", label: "At", unit: "mm", initial: 0, step: 1 };

interface Props {
  /** What the choice is called, what a button says before the axis' name, and what a reader hears before it. */
  label: string;
  words: string;
  read: string;
  slider: string;
  value: { axis: Axis; at: number } | null;
  /** One piece, or with null all of them, tells from where to where the slider runs. */
  piece: string | null;
  onChange(value: { axis: Axis; at: number } | null): void;
}

export function AxisAt({ label, words, read, slider, value, piece, onChange }: Props) {
  const [low, high] = reach(value?.axis ?? 0, piece);
  return (
    <>
      <ToggleButtonGroup
        size="small"
        exclusive
        value={value?.axis ?? null}
        aria-label={label}
        onChange={(_, axis: Axis | null) => {
          const [a, b] = reach(axis ?? 0, piece);
          onChange(axis === null ? null : { axis, at: (a + b) / 2 });
        }}
      >
        {(["x", "y", "z"] as const).map((name, k) => (
          <ToggleButton key={name} value={k} aria-label={`${read} ${name}`}>{words} {name}</ToggleButton>
        ))}
      </ToggleButtonGroup>
      {value && (
        <>
          <NumberField field={atField} value={value.at} onChange={(at) => onChange({ ...value, at })} />
          <Slider aria-label={slider} value={value.at} min={low} max={high} step={(high - low) / 200} onChange={(_, v) => onChange({ ...value, at: v })} sx={{ width: 130 }} />
        </>
      )}
    </>
  );
}

/** From where to where the pieces' cages reach along an axis. */
function reach(axis: number, piece: string | null): [number, number] {
  let [low, high] = [Infinity, -Infinity];
  for (const [id, { cage }] of pieces.byId) {
    if (piece !== null && id !== piece) continue;
    for (let i = axis; i < cage.positions.length; i += 3) {
      low = Math.min(low, cage.positions[i]);
      high = Math.max(high, cage.positions[i]);
    }
  }
  return Number.isFinite(low) ? [low, high] : [-50, 50];
}
