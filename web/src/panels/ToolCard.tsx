/** The floating card of the active tool: its numbers, its live preview, its Apply, and what stands in the way. */
import Alert from "@mui/material/Alert";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Paper from "@mui/material/Paper";
import Stack from "@mui/material/Stack";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { useBench } from "../live/bench";
import { numbersRead } from "../live/numbers";
import { toolById } from "../tools/all";
import type { Field, Tool } from "../tools/tool";
import { useSketch } from "../viewport/pointing";
import { FieldInput } from "./NumberField";
import { EndBar } from "./EndBar";
import { PlacingBar } from "./PlacingBar";
import { ReachBar } from "./ReachBar";
import { ShowWhere } from "./ShowWhere";

export function ToolCard() {
  const { toolId, problem, problemPiece, soft, say, design } = useBench();
  const tool = toolById(toolId);
  if (!tool && !problem) {
    if (design && design.pieces.length === 0 && design.references.length === 0) return <Card><Empty /></Card>;
    return null;
  }
  return (
    <Card>
      {problem && (
        <Alert
          severity={soft ? "info" : problem.status === 409 ? "warning" : "error"}
          onClose={() => say(null)}
          sx={{ mb: tool ? 1 : 0, py: 0 }}
        >
          {problem.detail} <ShowWhere piece={problemPiece} place={problem.place} /> <WayOut type={problem.type} faces={problem.place?.faces ?? []} />
        </Alert>
      )}
      {tool?.Card && <tool.Card />}
      {tool && (tool.fields.length > 0 || !tool.Card) && <Numbers key={tool.id} tool={tool} />}
    </Card>
  );
}

/** What would do instead, where that is known. */
function WayOut({ type, faces }: { type: string; faces: number[] }) {
  const { piece, give, values, setValues } = useBench();
  if (type === "/problems/inside-out" && piece && faces.length)
    return <Button size="small" onClick={() => give({ kind: "flip", piece, picked: { kind: "face", ids: faces } })}>Turn over</Button>;
  if ((type === "/problems/symmetry" || type === "/problems/follows") && piece)
    return <Button size="small" onClick={() => give({ kind: "make-independent", piece })}>Make independent</Button>;
  if (type === "/problems/bridge-counts")
    return <Button size="small" onClick={() => setValues({ ...values, loops: 1 })}>Add the missing loops</Button>;
  return null;
}

function Card({ children }: { children: React.ReactNode }) {
  return (
    <Paper
      elevation={3}
      component="section"
      aria-label="Tool card"
      sx={{ position: "absolute", left: 180, right: 10, mx: "auto", width: "fit-content", bottom: 12, px: 1.5, py: 1.1, borderRadius: 2, maxWidth: "min(880px, calc(100% - 190px))", zIndex: 2 }}
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
  const { values, setValues, apply, back, touched, connected, preview, piece } = useBench();
  const [more, setMore] = useState(false);
  const hidden = tool.fields.some((field) => field.more && (field.when?.(values) ?? true));
  // Tools that take points look at them as well as at numbers.
  useSketch();
  const missing = useBench.getState().missing();
  const places = typeof tool.places === "function" ? tool.places(values) : tool.places;
  const ready = !missing && connected && useBench.getState().command() !== null;
  const change = (field: Field, value: number) => {
    // What is on the card now, not what was when the text began to be read.
    const all = { ...useBench.getState().values, [field.name]: value };
    setValues(tool.typed?.(all, field.name) ?? all);
  };
  const submit = async () => {
    await numbersRead();
    if (!missing && useBench.getState().command()) apply();
  };
  const form = tool.needs === "nothing";
  return (
    <Box
      component="form"
      onSubmit={(event: React.FormEvent) => {
        event.preventDefault();
        void submit();
      }}
      onKeyDown={(event: React.KeyboardEvent) => {
        // While an expression is being read the button still waits; Enter means the value that it comes to.
        if (event.key !== "Enter" || !(event.target instanceof HTMLInputElement)) return;
        event.preventDefault();
        void submit();
      }}
    >
      <Stack direction="row" spacing={form ? 1 : 1.25} useFlexGap sx={{ alignItems: "center", flexWrap: "wrap", rowGap: 1.1 }}>
        <Stack direction="row" spacing={0.75} sx={{ alignItems: "center", color: "primary.main" }}>
          <tool.Icon />
          <Typography variant="h3" sx={{ color: "text.primary" }}>{tool.name}</Typography>
        </Stack>
        {tool.fields
          .filter((field) => (field.when?.(values) ?? true) && (more || !field.more))
          .map((field) => (
            <FieldInput key={field.name} field={field} value={values[field.name] ?? field.initial} onChange={(v) => change(field, v)} disabled={!!missing} />
          ))}
        {hidden && (
          <Button color="inherit" aria-expanded={more} onClick={() => setMore(!more)} sx={{ fontWeight: 500 }}>
            {more ? "Less" : tool.moreWords ?? (form ? "Place…" : "Direction…")}
          </Button>
        )}
        {places && !missing && <PlacingBar pivots={tool.id !== "move"} />}
        {tool.reaches && !missing && <ReachBar />}
        {tool.command && <Button type="submit" variant="contained" disabled={!ready}>{tool.verb}</Button>}
        {(touched || (tool.eager && preview)) && <Button color="inherit" onClick={back}>Cancel</Button>}
      </Stack>
      {tool.ends && <EndBar />}
      {tool.Below && <tool.Below />}
      <Typography variant="body2" color="text.secondary" sx={{ mt: 0.75 }}>
        {missing ?? [...(preview?.notes ?? []), tool.hint].join(" ")}
        {!missing && preview?.doubtful.length ? <ShowWhere piece={piece} place={{ faces: preview.doubtful }} /> : null}
      </Typography>
    </Box>
  );
}
