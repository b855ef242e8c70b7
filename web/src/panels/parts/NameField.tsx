import TextField from "@mui/material/TextField";
import { useState } from "react";

/** A name in the making: Enter or leaving keeps it, Esc does not. */
export function NameField(props: { label: string; value: string; onDone(name: string | null): void }) {
  const [text, setText] = useState(props.value);
  const done = (keep: boolean) => props.onDone(keep && text.trim() && text.trim() !== props.value ? text.trim() : null);
  return (
    <TextField
      autoFocus
      fullWidth
      variant="standard"
      value={text}
      onChange={(event) => setText(event.target.value)}
      onFocus={(event) => event.target.select()}
      onBlur={() => done(true)}
      onKeyDown={(event) => {
        event.stopPropagation();
        if (event.key === "Enter") done(true);
        if (event.key === "Escape") done(false);
      }}
      slotProps={{ htmlInput: { "aria-label": props.label, maxLength: 80 } }}
    />
  );
}
