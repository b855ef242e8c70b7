/** The numbers and choices of the tool in hand, and the button that applies them. */
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Stack from "@mui/material/Stack";
import Typography from "@mui/material/Typography";
import { useCallback, useEffect, useState } from "react";
import { useShallow } from "zustand/react/shallow";
import { commandNow, contextNow, missing as missingNow } from "../live/context";
import { numbersRead } from "../live/numbers";
import { useDesign } from "../live/stores/design";
import { useFollowers } from "../live/stores/followers";
import { usePicking } from "../live/stores/picking";
import { useSession } from "../live/stores/session";
import { useSketch } from "../live/stores/sketch";
import { useBodies } from "../live/stores/bodies";
import { useShow } from "../live/stores/show";
import { useAnyWrong } from "../live/stores/wrong";
import { apply, back, setValues } from "../live/tooling";
import type { ShownField, ValuesOf, Fields } from "../model/fields";
import { fieldsOf, isEager, shownFields, type Tool } from "../model/tool";
import { EndBar } from "./bars/EndBar";
import { PlacingBar } from "./bars/PlacingBar";
import { ReachBar } from "./bars/ReachBar";
import { NamedCard } from "./NamedCard";
import { CardHead } from "./parts/CardHead";
import { FieldInput } from "./parts/FieldInput";
import { focusCard } from "./parts/focus";
import { FollowerNote } from "./parts/FollowerNote";
import { ShowWhere } from "./parts/ShowWhere";

type Numbered = Exclude<Tool, { is: "card" }>;

/** All that a command goes by beside the values: the card looks again when it changes. */
function useSurroundings(): void {
  usePicking(useShallow((s) => [s.piece, s.pickKind, s.picked, s.others]));
  useDesign((s) => s.design);
  useSketch();
  useFollowers();
  useBodies((s) => s.settled);
  useShow(useShallow((s) => [s.pivot, s.orientation, s.edgeFrame, s.reference]));
}

/** Set one field, and what follows from it. What is on the card now counts, not what was when the text began to be read. */
function setField(tool: Numbered, name: string, value: unknown): void {
  const all = { ...useSession.getState().values, [name]: value };
  if (tool.is === "brush") return setValues(tool.typed?.(all, name, contextNow()) ?? all);
  const typed = tool.is === "strokes" ? undefined : tool.typed;
  setValues(typed?.(all, name) ?? all);
}

async function submit(): Promise<void> {
  // While an expression is being read the button still waits; Enter means the value that it comes to.
  await numbersRead();
  if (!missingNow() && commandNow()) apply();
}

export function Numbers({ tool }: { tool: Numbered }) {
  useSurroundings();
  const proving = useFollowers((s) => s.proving);
  // A number on the form was clicked to be typed anew.
  useEffect(() => {
    if (tool.is === "verb" && tool.makesTrue && proving) focusCard();
  }, [tool, proving]);
  // It may hang on the values: told when the answer is another, not with every value.
  const missing = useSession(() => missingNow());
  const form = tool.is === "form";
  return (
    <Box
      component="form"
      onSubmit={(event: React.FormEvent) => {
        event.preventDefault();
        void submit();
      }}
      onKeyDownCapture={(event: React.KeyboardEvent) => {
        // Choices, too: Enter applies what is shown, the arrow keys and Space open them.
        const at = event.target as HTMLElement;
        if (event.key !== "Enter" || !(at instanceof HTMLInputElement || (at.role === "combobox" && at.ariaExpanded !== "true"))) return;
        event.preventDefault();
        event.stopPropagation();
        void submit();
      }}
    >
      <Stack direction="row" spacing={form ? 1 : 1.25} useFlexGap sx={{ alignItems: "center", flexWrap: "wrap", rowGap: 1.1 }}>
        <CardHead drawing={tool.icon}>{tool.name}</CardHead>
        <FieldRow tool={tool} disabled={missing !== null && !tool.pointing && !isAsking(tool)} />
        {tool.is === "verb" && !missing && <Bars tool={tool} />}
        <Deeds tool={tool} ready={missing === null} />
      </Stack>
      {tool.is === "verb" && tool.ends && <EndBar takes={tool.takes} />}
      {"below" in tool && tool.below && <NamedCard name={tool.below} tool={tool} />}
      {tool.is === "verb" && tool.follows && <FollowerNote />}
      <CardHint tool={tool} missing={missing} />
    </Box>
  );
}

/** What is still missing may hang on what the fields say: from the picked, or from an axis. */
const isAsking = (tool: Numbered): boolean => tool.is === "verb" && tool.proves !== undefined;

function FieldRow({ tool, disabled }: { tool: Numbered; disabled: boolean }) {
  const values = useSession((s) => s.values);
  const [more, setMore] = useState(false);
  const onChange = useCallback((name: string, value: unknown) => setField(tool, name, value), [tool]);
  const context = contextNow();
  const fields = fieldsOf(tool) as Record<string, ShownField>;
  const names = shownFields(tool, values, context);
  const own = tool.is === "strokes" ? undefined : tool.moreWords;
  const words = own ?? (tool.is === "form" ? "Place…" : "Direction…");
  return (
    <>
      {names
        .filter((name) => more || !fields[name].more)
        .map((name) => {
          const field = fields[name];
          const entries = field.is === "list" ? field.entries(context) : undefined;
          return <FieldInput key={name} name={name} field={field} entries={entries} value={values[name] ?? field.initial} disabled={disabled} onChange={onChange} />;
        })}
      {names.some((name) => fields[name].more) && (
        <Button color="inherit" aria-expanded={more} onClick={() => setMore(!more)} sx={{ fontWeight: 500 }}>
          {more ? "Less" : words}
        </Button>
      )}
    </>
  );
}

function Bars({ tool }: { tool: Extract<Tool, { is: "verb" }> }) {
  const { places } = tool;
  const shows = useSession((s) => (typeof places === "function" ? places(s.values as ValuesOf<Fields>) : places !== undefined));
  return (
    <>
      {shows && <PlacingBar pivots={places !== "axes"} />}
      {tool.reaches && <ReachBar />}
    </>
  );
}

function Deeds({ tool, ready }: { tool: Numbered; ready: boolean }) {
  const touched = useSession((s) => s.touched);
  useSession((s) => s.values);
  const connected = useDesign((s) => s.connected);
  const previewed = useDesign((s) => s.preview !== null);
  const wrong = useAnyWrong();
  const canApply = ready && connected && !wrong && commandNow() !== null;
  return (
    <>
      {(tool.is === "verb" || tool.is === "form") && <Button type="submit" variant="contained" disabled={!canApply}>{tool.verb}</Button>}
      {tool.is !== "brush" && (touched || (isEager(tool) && previewed)) && <Button color="inherit" onClick={back}>Cancel</Button>}
    </>
  );
}

function CardHint({ tool, missing }: { tool: Numbered; missing: string | null }) {
  const notes = useDesign(useShallow((s) => s.preview?.notes ?? []));
  const suspect = useDesign(useShallow((s) => s.preview?.suspect ?? []));
  const piece = usePicking((s) => s.piece);
  return (
    <Typography variant="body2" color="text.secondary" sx={{ mt: 0.75 }}>
      {missing ?? [...notes, tool.hint].join(" ")}
      {!missing && suspect.length ? <ShowWhere piece={piece} place={{ faces: suspect }} /> : null}
    </Typography>
  );
}

