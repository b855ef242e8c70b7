/** A number with its unit. Expressions count as soon as they can be read; otherwise the field says why they cannot. */
import InputAdornment from "@mui/material/InputAdornment";
import Slider from "@mui/material/Slider";
import Stack from "@mui/material/Stack";
import TextField from "@mui/material/TextField";
import { useEffect, useLayoutEffect, useRef, useState } from "react";
import { askedFor, readNumber } from "../../live/numbers";
import { useUnit } from "../../live/stores/design";
import { type NumberField as Field, whatIsWrong } from "../../model/fields";
import { fromUnit, toUnit, trimmed } from "../../model/units";

interface Props {
  field: Field;
  value: number;
  disabled?: boolean;
  onChange(value: number): void;
}

export function NumberField({ field, value, disabled, onChange }: Props) {
  const unit = useUnit();
  const length = field.unit === "mm";
  const shown = (v: number) => trimmed(length ? toUnit(v, unit) : v, 4);
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
          min={field.min ?? field.above}
          max={field.max ?? field.below}
          step={field.step}
          disabled={disabled}
          onChange={(_, v) => onChange(v as number)}
          sx={{ width: 150 }}
        />
      )}
      <TextField
        label={field.label}
        title={field.help}
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
