/** The floating card of the active tool: its numbers, its live preview, its Apply, and what stands in the way. */
import Alert from "@mui/material/Alert";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import InputAdornment from "@mui/material/InputAdornment";
import Paper from "@mui/material/Paper";
import Slider from "@mui/material/Slider";
import Stack from "@mui/material/Stack";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useEffect, useState } from "react";
import { useBench } from "../live/bench";
import { toolById } from "../tools/all";
import type { Field, Tool } from "../tools/tool";

export function ToolCard() {
  const { toolId, problem, say, design } = useBench();
  const tool = toolById(toolId);
  if (!tool && !problem) {
    if (design && design.pieces.length === 0) return <Card><Empty /></Card>;
    return null;
  }
  return (
    <Card>
      {problem && (
        <Alert severity={problem.status === 409 ? "warning" : "error"} onClose={() => say(null)} sx={{ mb: tool ? 1 : 0, py: 0 }}>
          {problem.detail}
        </Alert>
      )}
      {tool && (tool.Card ? <tool.Card /> : <Numbers key={tool.id} tool={tool} />)}
    </Card>
  );
}

function Card({ children }: { children: React.ReactNode }) {
  return (
    <Paper
      elevation={3}
      component="section"
      aria-label="Tool card"
      sx={{ position: "absolute", left: 0, right: 0, mx: "auto", width: "fit-content", bottom: 14, px: 2, py: 1.25, borderRadius: 2, maxWidth: "calc(100% - 40px)", zIndex: 2 }}
    >
      {children}
    </Paper>
  );
}

function Empty() {
  const takeTool = useBench((s) => s.takeTool);
  return (
    <Stack direction="row" spacing={1.5} sx={{ alignItems: "center" }}>
      <Typography>Nothing here yet. Put down the first faces:</Typography>
      <Button variant="contained" onClick={() => takeTool("box")}>a box</Button>
      <Button variant="outlined" onClick={() => takeTool("plane")}>a plane</Button>
    </Stack>
  );
}

function Numbers({ tool }: { tool: Tool }) {
  const { values, setValues, apply, back, picked, pickKind, touched, connected } = useBench();
  const missing =
    tool.needs === "faces" && (pickKind !== "face" || !picked.length)
      ? "Pick faces first (F)."
      : tool.needs === "selection" && !picked.length
        ? "Pick vertices, edges or faces first (V, E, F)."
        : null;
  const ready = !missing && connected && useBench.getState().command() !== null;
  const change = (field: Field, value: number) => {
    const all = { ...values, [field.name]: value };
    setValues(tool.typed?.(all, field.name) ?? all);
  };
  return (
    <Box
      component="form"
      onSubmit={(event: React.FormEvent) => {
        event.preventDefault();
        if (ready) apply();
      }}
    >
      <Stack direction="row" spacing={1.25} useFlexGap sx={{ alignItems: "center", flexWrap: "wrap" }}>
        <Stack direction="row" spacing={0.75} sx={{ alignItems: "center", color: "primary.main" }}>
          <tool.Icon />
          <Typography variant="h3" sx={{ color: "text.primary" }}>{tool.name}</Typography>
        </Stack>
        {tool.fields.map((field) => (
          <NumberField key={field.name} field={field} value={values[field.name] ?? field.initial} onChange={(v) => change(field, v)} disabled={!!missing} />
        ))}
        <Button type="submit" variant="contained" disabled={!ready}>{tool.verb}</Button>
        {touched && <Button color="inherit" onClick={back}>Cancel</Button>}
      </Stack>
      <Typography variant="body2" color="text.secondary" sx={{ mt: 0.75 }}>
        {missing ?? tool.hint}
      </Typography>
    </Box>
  );
}

/** A number with its unit. What is typed counts as soon as it is a number; otherwise the field says why it does not. */
function NumberField(props: { field: Field; value: number; disabled: boolean; onChange(value: number): void }) {
  const { field, value, disabled, onChange } = props;
  const [text, setText] = useState(String(value));
  const fault = whatIsWrong(field, text);
  useEffect(() => {
    if (Number(text.replace(",", ".")) !== value) setText(String(value));
    // Only a value that came from elsewhere, such as a drag, replaces what is being typed.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [value]);
  const take = (typed: string) => {
    setText(typed);
    if (!whatIsWrong(field, typed)) onChange(Number(typed.replace(",", ".")));
  };
  const nudge = (by: number) => {
    const next = Number((value + by * field.step).toFixed(6));
    if (!whatIsWrong(field, String(next))) take(String(next));
  };
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
          onChange={(_, v) => take(String(v))}
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
          htmlInput: { inputMode: "decimal", autoComplete: "off" },
          input: field.unit ? { endAdornment: <InputAdornment position="end">{field.unit}</InputAdornment> } : undefined,
        }}
        sx={{ width: field.unit ? 112 : 92 }}
      />
    </Stack>
  );
}

function whatIsWrong(field: Field, text: string): string | null {
  const value = Number(text.replace(",", "."));
  if (!text.trim() || !Number.isFinite(value)) return "not a number";
  if (field.whole && !Number.isInteger(value)) return "whole numbers only";
  if (field.min !== undefined && value < field.min) return `at least ${field.min}`;
  if (field.max !== undefined && value > field.max) return `at most ${field.max}`;
  return null;
}
