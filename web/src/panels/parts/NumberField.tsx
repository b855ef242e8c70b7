/** A number with its unit. Expressions count as soon as they can be read; otherwise the field says why they cannot. */
import InputAdornment from "@mui/material/InputAdornment";
import Slider from "@mui/material/Slider";
import Stack from "@mui/material/Stack";
import TextField from "@mui/material/TextField";
import { type RefObject, useEffect, useId, useRef, useState } from "react";
import { flushSync } from "react-dom";
import { askedFor, readNumber } from "../../live/numbers";
import { useUnit } from "../../live/stores/design";
import { markWrong } from "../../live/stores/wrong";
import { type NumberField as Field, whatIsWrong } from "../../model/fields";
import { roundStep, toUnit, trimmed, type Unit } from "../../model/units";

interface Props {
  field: Field;
  value: number;
  disabled?: boolean;
  onChange(value: number): void;
}

/** What was typed, which stands for as long as the value is the one that it was typed over, or the one that it led to. */
interface Typed {
  text: string;
  over: number;
  value: number;
  unit: Unit;
  wrong: string | null;
  /** It is being read by the service: what it says is not known yet. */
  unread?: boolean;
}

/** Wider while something is said below it: a sentence in so narrow a column would push the card over the form. */
const widthOf = (field: Field, ending: string, fault: string | null): number => (fault && fault.length > 20 ? 230 : ending ? 112 : field.narrow ? 76 : 100);

/** Where the text is typed, marked for as long as it is wrong, or nobody knows whether it is. */
function useMarked(isWrong: boolean, unread: boolean): RefObject<HTMLInputElement | null> {
  const id = useId();
  const input = useRef<HTMLInputElement>(null);
  useEffect(() => (isWrong || unread ? markWrong(id, { unread: !isWrong, focus: () => input.current?.focus() }) : undefined), [id, isWrong, unread]);
  return input;
}

/** What stands in the field: what was typed, or else the value. */
const readout = (field: Field, value: number, typed: Typed | null, unit: Unit) => ({
  text: typed?.text ?? trimmed(field.unit === "mm" ? toUnit(value, unit) : value, 4),
  fault: typed?.wrong ?? whatIsWrong(field, value, unit),
  unread: typed?.unread ?? false,
});

/** So many steps on: as in mm, wherever that is round in the unit, too. */
function nudged(field: Field, value: number, by: number, unit: Unit): number {
  const step = field.unit === "mm" && unit === "in" ? roundStep(field.step, unit) : field.step;
  return Number((value + by * step).toFixed(6));
}

export function NumberField({ field, value, disabled, onChange }: Props) {
  const unit = useUnit();
  const [typed, setTyped] = useState<Typed | null>(null);
  const latest = useRef(0);
  // A value that came from elsewhere, such as a drag, or another unit, replaces what was typed, before anybody sees it.
  if (typed && (typed.unit !== unit || (value !== typed.over && value !== typed.value))) setTyped(null);
  else if (typed && value === typed.value && typed.over !== value) setTyped({ ...typed, over: value });
  const { text, fault, unread } = readout(field, value, typed, unit);
  const input = useMarked(fault !== null && !disabled, unread && !disabled);

  const take = (written: string) => {
    const turn = ++latest.current;
    const settle = (found: number | string) => {
      if (turn !== latest.current) return;
      const wrong = typeof found === "string" ? found : whatIsWrong(field, found, unit);
      const next = wrong === null && typeof found === "number" ? found : value;
      setTyped({ text: written, over: value, value: next, unit, wrong });
      if (wrong === null) onChange(next);
    };
    const found = readNumber(written, askedFor(field.unit), unit);
    if (!(found instanceof Promise)) return settle(found);
    setTyped({ text: written, over: value, value, unit, wrong: typed?.wrong ?? null, unread: true });
    // At once, effects and all: Enter waits for numbers that are being read, and must not meet what was wrong before.
    void found.then((read) => flushSync(() => settle(read)));
  };
  const nudge = (by: number) => {
    const next = nudged(field, value, by, unit);
    if (!whatIsWrong(field, next, unit)) onChange(next);
  };
  const ending = field.unit === "mm" ? unit : field.unit;
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
          onChange={(_, v) => onChange(v)}
          sx={{ width: 150 }}
        />
      )}
      <TextField
        label={field.label}
        title={field.help}
        value={text}
        inputRef={input}
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
          formHelperText: fault === null ? undefined : { role: "alert" },
          htmlInput: { autoComplete: "off", "data-number": "", maxLength: 120 },
          input: ending ? { endAdornment: <InputAdornment position="end">{ending}</InputAdornment> } : undefined,
        }}
        sx={{ width: widthOf(field, ending, fault) }}
      />
    </Stack>
  );
}
