/** The list of steps about the present one; earlier ones are fetched when asked for, and can be forgotten for good. */
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import List from "@mui/material/List";
import ListItem from "@mui/material/ListItem";
import ListItemButton from "@mui/material/ListItemButton";
import Popover from "@mui/material/Popover";
import Stack from "@mui/material/Stack";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useEffect, useRef, useState } from "react";
import { goTo } from "../../live/opening";
import { Refused, service } from "../../live/service";
import { useDesign } from "../../live/stores/design";
import { useFor } from "../parts/useFor";
import type { DesignState, StepState } from "../../model/types";

/** Steps before those that the design tells, fetched when they are asked for. */
function useEarlier(design: DesignState | null) {
  const first = design?.steps[0]?.number ?? 0;
  const [fetched, setFetched] = useFor<StepState[]>(`${design?.id} ${first}`);
  // Fetched ones count while they join on to those that the design tells.
  const joined = fetched?.at(-1)?.number === first - 1 ? fetched : [];
  const fetchMore = async () => {
    if (design) setFetched([...(await service.steps(design.id, joined[0]?.number ?? first)), ...joined]);
  };
  return { joined, fetchMore, hidden: (design?.earlier ?? 0) - joined.length };
}

export function Steps() {
  const design = useDesign((s) => s.design);
  const previewed = useDesign((s) => s.preview !== null);
  const present = useRef<HTMLLIElement>(null);
  const coming = useRef<HTMLLIElement>(null);
  const { joined, fetchMore, hidden } = useEarlier(design);
  // What only shows or hides is undone like the rest, but the list is the form's.
  const listed = design?.steps.map((step, i) => ({ step, i })).filter(({ step }) => !step.aside) ?? [];
  const now = listed.filter(({ i }) => i <= (design?.head ?? 0)).at(-1)?.i;
  useEffect(() => {
    // It returns a promise in newer browsers, which an effect must not.
    void (coming.current ?? present.current)?.scrollIntoView({ block: "nearest" });
  }, [design?.head, design?.steps.length, previewed]);
  return (
    <Box component="section" aria-label="Steps" sx={{ flexGrow: 1, overflow: "auto", minHeight: 0 }}>
      <Stack direction="row" sx={{ px: 1.5, pt: 1, alignItems: "baseline" }}>
        <Typography component="h2" variant="h3" sx={{ flexGrow: 1 }}>Steps</Typography>
        {design && design.earlier + design.head > 20 && <Thin design={design} />}
      </Stack>
      {hidden > 0 && (
        <Button size="small" onClick={() => void fetchMore()} sx={{ ml: 1 }}>Show earlier ones ({hidden})</Button>
      )}
      <List dense disablePadding component="ol" sx={{ pb: 1 }}>
        {joined.filter((step) => !step.aside).map((step) => <Row key={step.id} step={step} />)}
        {listed.map(({ step, i }) => (
          <Row key={step.id} step={step} ref={i === now ? present : undefined} isPresent={i === now} undone={i > (design?.head ?? 0)} />
        ))}
        {previewed && (
          <ListItem ref={coming} sx={{ py: 0.3, pl: 1.5, alignItems: "baseline" }}>
            <Typography variant="body2" color="text.secondary" sx={{ width: 24, flexShrink: 0 }}>…</Typography>
            <Coming />
          </ListItem>
        )}
      </List>
      {(design?.later ?? 0) > 0 && (
        <Typography variant="body2" color="text.secondary" sx={{ px: 1.5, pb: 1 }}>and {design?.later} later ones</Typography>
      )}
    </Box>
  );
}

function Row({ step, ref, isPresent = false, undone = false }: { step: StepState; ref?: React.Ref<HTMLLIElement>; isPresent?: boolean; undone?: boolean }) {
  return (
    <ListItem disablePadding ref={ref}>
      <ListItemButton
        selected={isPresent}
        aria-current={isPresent ? "step" : undefined}
        onClick={() => goTo(step.id)}
        sx={{ py: 0.3, pl: 1.5, alignItems: "baseline", opacity: undone ? 0.5 : 1 }}
      >
        <Typography variant="body2" color="text.secondary" sx={{ minWidth: 24, pr: 0.5, flexShrink: 0 }}>{step.place}</Typography>
        <Typography variant="body2">{step.title}</Typography>
      </ListItemButton>
    </ListItem>
  );
}

/** The step in the making. Its title changes with every frame of a drag, and so it is written past React. */
function Coming() {
  const words = useRef<HTMLSpanElement>(null);
  useEffect(() => {
    const write = () => {
      const title = useDesign.getState().preview?.title ?? "";
      if (words.current && words.current.textContent !== title) words.current.textContent = title;
    };
    write();
    return useDesign.subscribe(write);
  }, []);
  return <Typography component="span" ref={words} variant="body2" color="text.secondary" sx={{ fontStyle: "italic" }} />;
}

/** Forgetting early steps is no step and cannot be undone: it says so, and asks. */
function Thin({ design }: { design: DesignState }) {
  const [at, setAt] = useState<HTMLElement | null>(null);
  const [keep, setKeep] = useState("100");
  const [fault, setFault] = useState("");
  const count = Number(keep);
  const sound = Number.isInteger(count) && count >= 1 && count <= 100_000;
  const gone = sound ? Math.max(design.earlier + design.head + 1 - count, 0) : 0;
  const thin = async () => {
    try {
      await service.thin(design.id, design.revision, count);
      setAt(null);
    } catch (error) {
      setFault(error instanceof Refused ? error.message : String(error));
    }
  };
  return (
    <>
      <Button size="small" color="inherit" onClick={(event) => { setFault(""); setAt(event.currentTarget); }}>Thin out…</Button>
      <Popover open={at !== null} anchorEl={at} onClose={() => setAt(null)} slotProps={{ paper: { role: "dialog", "aria-label": "Thin out the steps" } }}>
        <Stack spacing={1.5} sx={{ p: 2, width: 270 }}>
          <TextField
            size="small" label="Steps to keep" value={keep} autoFocus error={!sound}
            helperText={sound ? " " : "A whole number from 1 to 100,000."}
            onChange={(event) => setKeep(event.target.value)}
          />
          <Typography variant="body2">
            {gone > 0
              ? `${gone} early steps, and all that was undone and replaced, are forgotten for good. The form stays as it is.`
              : "No step before the present one is forgotten; what was undone and replaced is."}
          </Typography>
          {fault && <Typography variant="body2" color="error" role="alert">{fault}</Typography>}
          <Stack direction="row" spacing={1} sx={{ justifyContent: "flex-end" }}>
            <Button size="small" color="inherit" onClick={() => setAt(null)}>Keep all</Button>
            <Button size="small" variant="contained" disabled={!sound} onClick={() => void thin()}>Forget them</Button>
          </Stack>
        </Stack>
      </Popover>
    </>
  );
}
