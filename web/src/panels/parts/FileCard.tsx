/** Brings a file in as a reference, which is then in hand. */
import Button from "@mui/material/Button";
import CircularProgress from "@mui/material/CircularProgress";
import Stack from "@mui/material/Stack";
import Typography from "@mui/material/Typography";
import { useRef, useState } from "react";
import { attempt } from "../../live/picks";
import { useDesign } from "../../live/stores/design";
import { takeDropped, useDropped } from "../../live/stores/dropped";
import { say } from "../../live/stores/problem";
import { tools } from "../../live/stores/session";
import { show } from "../../live/stores/show";
import { useAnyWrong } from "../../live/stores/wrong";
import { takeTool } from "../../live/tooling";
import type { Tool } from "../../model/tool";
import { CardHead } from "./CardHead";
import { Reading } from "./Reading";

const megabyte = 1024 * 1024;

/** A name of our own for what is being read in. */
const nameToWatch = (): string => Array.from(crypto.getRandomValues(new Uint8Array(12)), (b) => b.toString(16).padStart(2, "0")).join("");

interface Props {
  tool: Tool;
  hint: string;
  /** Megabytes that a file may have. */
  most?: number;
  /** The last is a name by which it can be asked how far it is, and stopped; where the service takes it. */
  send(design: string, revision: number, file: File, watch: string): Promise<{ references: { id: string }[] }>;
  /** What is done once it is in; without it the newest reference is taken in hand. */
  after?(): void;
  children: React.ReactNode;
}

export function FileCard({ tool, hint, most = 128, send, after, children }: Props) {
  const input = useRef<HTMLInputElement>(null);
  const anyWrong = useAnyWrong();
  const [busy, setBusy] = useState(false);
  const [watch, setWatch] = useState<string | null>(null);
  // What belongs to the file, such as its unit, is chosen before it is brought in.
  const dropped = useDropped((s) => s.file);
  const bring = async (file: File | undefined) => {
    const { design } = useDesign.getState();
    if (!file || !design) return;
    if (file.size > most * megabyte)
      return say({ type: "/problems/bad-file", title: "Too large", status: 413, detail: `${file.name} has ${Math.ceil(file.size / megabyte)} MB; ${most} MB are the most.` });
    say(null);
    setBusy(true);
    const name = nameToWatch();
    setWatch(name);
    await attempt(async () => {
      const { references } = await send(design.id, design.revision, file, name);
      if (after) return after();
      show({ reference: references.at(-1)?.id ?? null });
      takeTool(tools().forReferences?.id ?? null);
    });
    setBusy(false);
    setWatch(null);
    if (input.current) input.current.value = "";
  };
  return (
    <>
      <Stack direction="row" spacing={1.25} useFlexGap sx={{ alignItems: "center", flexWrap: "wrap" }}>
        <CardHead drawing={tool.icon}>{tool.name}</CardHead>
        {children}
        {dropped && <Button variant="contained" disabled={busy || anyWrong} onClick={() => void bring(takeDropped() ?? undefined)}>Bring in {dropped.name}</Button>}
        <Button component="label" variant={dropped ? "outlined" : "contained"} disabled={busy || anyWrong} startIcon={busy ? <CircularProgress size={16} /> : undefined}>
          {busy ? "Reading" : "Choose a file"}
          <input ref={input} hidden type="file" accept={tool.files?.join(",")} aria-label={`${tool.name} file`} disabled={anyWrong} onChange={(event) => void bring(event.target.files?.[0])} />
        </Button>
      </Stack>
      {watch !== null && <Reading watch={watch} />}
      <Typography variant="body2" color="text.secondary" sx={{ mt: 0.75 }}>{hint}</Typography>
    </>
  );
}
