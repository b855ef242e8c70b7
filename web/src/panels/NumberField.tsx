/** A number with its unit. Expressions count as soon as they can be read; otherwise the field says why they cannot. */
import InputAdornment from "@mui/material/InputAdornment";
import MenuItem from "@mui/material/MenuItem";
import Slider from "@mui/material/Slider";
import Stack from "@mui/material/Stack";
import TextField from "@mui/material/TextField";
import { useEffect, useLayoutEffect, useRef, useState } from "react";
import { useBench } from "../live/bench";
import { readNumber } from "../live/numbers";
import { fromUnit, toUnit, trimmed, type Unit } from "../live/units";
import type { Field } from "../tools/tool";
import { askedFor } from "../viewport/typed";

interface Props {
  field: Field;
  value: number;
  disabled?: boolean;
  onChange(value: number): void;
}

export function FieldInput(props: Props) {
  return props.field.options ? <Choice {...props} /> : <NumberField {...props} />;
}

function Choice({ field, value, disabled, onChange }: Props) {
  return (
    <TextField
      select
      label={field.label}
      value={value}
      disabled={disabled}
      onChange={(event) => onChange(Number(event.target.value))}
      sx={{ minWidth: 96 }}
    >
      {(typeof field.options === "function" ? field.options() : field.options!).map((words, i) => (
        <MenuItem key={words} value={i}>{words}</MenuItem>
      ))}
    </TextField>
  );
}

export function NumberField({ field, value, disabled, onChange }: Props) {
  const unit = useBench((s) => s.design?.unit ?? "mm");
  const length = field.unit === "mm";
  const shown = (v: number) => trimmed(length ? toUnit(v, unit) : v, length && unit !== "mm" ? 4 : 4);
  const [text, setText] = useState(shown(value));
  const [unread, setUnread] = useState<string | null>(null);
  const latest = useRef(0);
  const last = useRef(value);
  const fault = unread ?? whatIsWrong(field, value, unit);

  // Before the next paint: no frame, and no reader, meets the value before.
  useLayoutEffect(() => {
    if (last.current !== value) {
      setText(shown(value));
      setUnread(null);
      latest.current += 1;
    }
    last.current = value;
    // Only a value that came from elsewhere, such as a drag, or another unit, replaces what is being typed.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [value]);
  useEffect(() => {
    setText(shown(value));
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [unit]);

  const take = (typed: string) => {
    setText(typed);
    const turn = ++latest.current;
    const settle = (found: number | string) => {
      if (turn !== latest.current) return;
      const wrong = typeof found === "string" ? found : whatIsWrong(field, found, unit);
      setUnread(wrong);
      if (wrong || typeof found === "string") return;
      last.current = found;
      onChange(found);
    };
    const found = readNumber(typed, askedFor(field.unit), unit);
    if (found instanceof Promise) void found.then(settle);
    else settle(found);
  };
  const nudge = (by: number) => {
    const step = length ? fromUnit(field.step, unit === "in" ? "mm" : unit) : field.step;
    const next = Number((value + by * step).toFixed(6));
    if (!whatIsWrong(field, next, unit)) onChange(next);
  };
  const ending = length ? unit : field.unit;
  return (
    <Stack direction="row" spacing={1.5} sx={{ alignItems: "center" }}>
      {field.slider && (
        <Slider
          aria-label={`${field.label} slider`}
          value={value}
          min={field.min}
          max={field.max}
          step={field.step}
          disabled={disabled}
          onChange={(_, v) => onChange(v as number)}
          sx={{ width: 150 }}
        />
      )}
      <TextField
        label={field.label}
        value={text}
        disabled={disabled}
        error={fault !== null}
        helperText={fault}
        onChange={(event) => take(event.target.value)}
        onFocus={(event) => event.target.select()}
        onKeyDown={(event) => {
          if (event.key === "ArrowUp" || event.key === "ArrowDown") {
            event.preventDefault();
            nudge((event.key === "ArrowUp" ? 1 : -1) * (event.shiftKey ? 10 : 1));
          }
        }}
        slotProps={{
          htmlInput: { autoComplete: "off", maxLength: 120 },
          input: ending ? { endAdornment: <InputAdornment position="end">{ending}</InputAdornment> } : undefined,
          formHelperText: { sx: { maxWidth: 190 } },
        }}
        sx={{ width: ending ? 112 : field.narrow ? 76 : 100 }}
      />
    </Stack>
  );
}

function whatIsWrong(field: Field, value: number, unit: Unit): string | null {
  const words = (limit: number) => (field.unit === "mm" ? `${trimmed(toUnit(limit, unit), 4)} ${unit}` : String(limit));
  if (!Number.isFinite(value)) return "not a number";
  if (field.whole && !Number.isInteger(value)) return "whole numbers only";
  if (field.min !== undefined && value < field.min) return `at least ${words(field.min)}`;
  if (field.max !== undefined && value > field.max) return `at most ${words(field.max)}`;
  return null;
}
