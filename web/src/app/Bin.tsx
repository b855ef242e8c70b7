/** Designs that were deleted: to be put back, or to be forgotten for good once that was asked for twice. */
import Alert from "@mui/material/Alert";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import Stack from "@mui/material/Stack";
import Typography from "@mui/material/Typography";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { service } from "../live/service";
import type { DesignCard } from "../model/types";

export type Attempt = (act: () => Promise<unknown>) => Promise<void>;

/** What was put into the bin just now, with the way back. */
export function JustBinned({ design, attempt, onDone }: { design: DesignCard; attempt: Attempt; onDone(): void }) {
  const undo = () => {
    onDone();
    void attempt(() => service.putBack(design.id));
  };
  return (
    <Alert severity="info" role="status" onClose={onDone} action={<Button size="small" onClick={undo}>Undo</Button>} sx={{ mb: 2 }}>
      {design.name} is in the bin, with all its steps.
    </Alert>
  );
}

export function Bin({ attempt }: { attempt: Attempt }) {
  const { data: binned = [] } = useQuery({ queryKey: ["designs", "bin"], queryFn: service.bin });
  const [asked, setAsked] = useState<DesignCard[] | null>(null);
  if (!binned.length) return null;
  const forget = (meant: DesignCard[]) => {
    setAsked(null);
    // Those that were asked about, and no other that somebody has put there since.
    void attempt(() => Promise.all(meant.map(({ id }) => service.remove(id))));
  };
  return (
    <Box component="section" aria-label="Bin" sx={{ mt: 4 }}>
      <Stack direction="row" spacing={2} sx={{ alignItems: "baseline" }}>
        <Typography variant="h2" gutterBottom>Bin</Typography>
        <Button size="small" color="inherit" onClick={() => setAsked(binned)}>Empty the bin…</Button>
      </Stack>
      {binned.map((design) => (
        <Stack key={design.id} direction="row" spacing={1.5} sx={{ alignItems: "center", py: 0.25 }}>
          <Typography noWrap sx={{ width: 300, fontWeight: 600 }}>{design.name}</Typography>
          <Typography variant="body2" color="text.secondary" sx={{ width: 130 }}>{stepsOf(design)}</Typography>
          <Button size="small" aria-label={`Put back ${design.name}`} onClick={() => void attempt(() => service.putBack(design.id))}>Put back</Button>
          <Button size="small" color="inherit" aria-label={`Delete ${design.name} for good`} onClick={() => setAsked([design])}>Delete for good…</Button>
        </Stack>
      ))}
      {asked && <Asking meant={asked} onNo={() => setAsked(null)} onYes={() => forget(asked)} />}
    </Box>
  );
}

const stepsOf = ({ step_count: n }: DesignCard) => (n === 1 ? "1 step" : `${n} steps`);

function Asking({ meant, onNo, onYes }: { meant: DesignCard[]; onNo(): void; onYes(): void }) {
  const what = meant.length === 1 ? meant[0].name : `these ${meant.length} designs`;
  return (
    <Dialog open onClose={onNo} aria-labelledby="forget">
      <DialogTitle id="forget">Delete {what} for good?</DialogTitle>
      <DialogContent>
        <Typography>{meant.map((design) => `${design.name} (${stepsOf(design)})`).join(", ")}: nothing brings {meant.length === 1 ? "it" : "them"} back.</Typography>
      </DialogContent>
      <DialogActions>
        <Button color="inherit" autoFocus onClick={onNo}>Keep</Button>
        <Button color="error" variant="contained" onClick={onYes}>Delete for good</Button>
      </DialogActions>
    </Dialog>
  );
}
