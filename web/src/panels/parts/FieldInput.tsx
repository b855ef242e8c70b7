/** One field of a card: a number, or a choice. */
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { memo, useCallback } from "react";
import type { Entry, ShownField } from "../../model/fields";
import { NumberField } from "./NumberField";

interface Props {
  name: string;
  field: ShownField;
  /** Of a list: what there is just now. */
  entries?: Entry[];
  value: unknown;
  disabled: boolean;
  onChange(name: string, value: unknown): void;
}

/** Drawn again only where its own value has changed: a drag sets one field of many. */
export const FieldInput = memo(function FieldInput({ name, field, entries, value, disabled, onChange }: Props) {
  const set = useCallback((next: unknown) => onChange(name, next), [name, onChange]);
  if (field.is === "number") return <NumberField field={field} value={value as number} disabled={disabled} onChange={set} />;
  const words = entries ?? Object.entries(field.is === "choice" ? field.words : {}).map(([id, said]) => ({ id, words: said }));
  const chosen = words.some((entry) => entry.id === value) ? (value as string) : (words[0]?.id ?? "");
  return (
    <TextField select label={field.label} title={field.help} value={chosen} disabled={disabled} onChange={(event) => set(event.target.value)} sx={{ minWidth: 96 }}>
      {words.map((entry) => (
        <MenuItem key={entry.id} value={entry.id}>{entry.words}</MenuItem>
      ))}
    </TextField>
  );
}, isSame);

function isSame(a: Props, b: Props): boolean {
  const entries = (list: Entry[] | undefined) => list?.map((e) => `${e.id} ${e.words}`).join("\n");
  return (
    a.name === b.name && a.field === b.field && a.value === b.value && a.disabled === b.disabled && a.onChange === b.onChange &&
    entries(a.entries) === entries(b.entries)
  );
}
