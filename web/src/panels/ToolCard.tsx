/** The floating card of the active tool: its numbers, its live preview, its Apply, and what stands in the way. */
import Alert from "@mui/material/Alert";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import IconButton from "@mui/material/IconButton";
import Paper from "@mui/material/Paper";
import Stack from "@mui/material/Stack";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { give } from "../live/line";
import { useDesign } from "../live/stores/design";
import { useDropped } from "../live/stores/dropped";
import { usePicking } from "../live/stores/picking";
import { say, useProblem } from "../live/stores/problem";
import { toolInHand, useTool } from "../live/stores/session";
import { change, takeTool } from "../live/tooling";
import { beginnings } from "../model/beginnings";
import type { Problem } from "../model/types";
import { FoldIcon } from "../theme/icons";
import { tight } from "../theme/tight";
import { NamedCard } from "./NamedCard";
import { Numbers } from "./Numbers";
import { CardHead } from "./parts/CardHead";
import { ShowWhere } from "./parts/ShowWhere";

export function ToolCard() {
  const tool = useTool();
  const problem = useProblem((s) => s.problem);
  const isEmpty = useDesign((s) => s.design !== null && s.design.pieces.length === 0 && s.design.references.length === 0);
  const dropped = useDropped((s) => s.serial);
  const [folded, setFolded] = useState<string | null>(null);
  if (!tool && !problem) return isEmpty ? <Card><Empty /></Card> : null;
  const isFolded = tool !== null && folded === tool.id;
  return (
    <Card>
      {tool && <Fold folded={isFolded} onFold={() => setFolded(isFolded ? null : tool.id)} />}
      {problem && <Said problem={problem} above={tool !== null} />}
      {tool && isFolded && <CardHead drawing={tool.icon}>{tool.name}</CardHead>}
      {/* Folded it stays as it is: what was typed is still meant. */}
      <Box sx={{ display: isFolded ? "none" : "block" }}>
        {tool?.is === "card" && <NamedCard key={`${tool.id} ${dropped}`} name={tool.card} tool={tool} />}
        {tool && tool.is !== "card" && <Numbers key={tool.id} tool={tool} />}
      </Box>
    </Card>
  );
}

/** To one line, where the form is to be seen, and back. */
function Fold({ folded, onFold }: { folded: boolean; onFold(): void }) {
  const words = folded ? "Unfold the card" : "Fold the card to one line";
  return (
    <IconButton aria-label={words} title={words} aria-expanded={!folded} onClick={onFold} sx={{ position: "absolute", top: 4, right: 4, width: 26, height: 26, p: 0.5 }}>
      <FoldIcon sx={{ fontSize: 16, transform: folded ? "rotate(-90deg)" : "rotate(90deg)" }} />
    </IconButton>
  );
}

function Said({ problem, above }: { problem: Problem; above: boolean }) {
  const soft = useProblem((s) => s.soft);
  const piece = useProblem((s) => s.piece);
  return (
    <Alert
      severity={soft ? "info" : problem.status === 409 ? "warning" : "error"}
      onClose={() => say(null)}
      sx={{ mb: above ? 1 : 0, py: 0 }}
    >
      {problem.detail} <ShowWhere piece={piece} place={problem.place} /> <WayOut type={problem.type} faces={problem.place?.faces ?? []} />
    </Alert>
  );
}

/** What would do instead, where that is known. */
function WayOut({ type, faces }: { type: string; faces: number[] }) {
  const piece = usePicking((s) => s.piece);
  const tool = toolInHand();
  const own = tool?.is === "verb" ? tool.waysOut?.[type] : undefined;
  if (own) return <Button size="small" onClick={() => change(own.values)}>{own.words}</Button>;
  if (type === "/problems/inside-out" && piece && faces.length)
    return <Button size="small" onClick={() => void give({ kind: "flip", piece, picked: { kind: "face", ids: faces } })}>Turn over</Button>;
  if ((type === "/problems/symmetry" || type === "/problems/follows") && piece)
    return <Button size="small" onClick={() => void give({ kind: "make-independent", piece })}>Make independent</Button>;
  return null;
}

function Card({ children }: { children: React.ReactNode }) {
  return (
    <Paper
      elevation={3}
      component="section"
      aria-label="Tool card"
      sx={{ position: "absolute", left: 188, right: 10, mx: "auto", width: "fit-content", bottom: 12, pl: 1.5, pr: 4.25, py: 1.1, borderRadius: 2, maxWidth: "min(900px, calc(100% - 198px))", maxHeight: "50%", [tight]: { left: 66, maxWidth: "calc(100% - 76px)", maxHeight: "58%" }, overflow: "auto", zIndex: 2 }}
    >
      {children}
    </Paper>
  );
}

function Empty() {
  return (
    <Stack direction="row" spacing={1.5} sx={{ alignItems: "center" }}>
      <Typography>Nothing here yet. Put down the first faces:</Typography>
      {beginnings.map(({ tool, words }, i) => (
        <Button key={tool} variant={i ? "outlined" : "contained"} onClick={() => takeTool(tool)}>{words}</Button>
      ))}
    </Stack>
  );
}
