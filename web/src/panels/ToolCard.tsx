/** The floating card of the active tool: its numbers, its live preview, its Apply, and what stands in the way. */
import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import Paper from "@mui/material/Paper";
import Stack from "@mui/material/Stack";
import Typography from "@mui/material/Typography";
import { give } from "../live/line";
import { useDesign } from "../live/stores/design";
import { usePicking } from "../live/stores/picking";
import { say, useProblem } from "../live/stores/problem";
import { toolInHand, useTool } from "../live/stores/session";
import { change, takeTool } from "../live/tooling";
import { beginnings } from "../model/beginnings";
import type { Problem } from "../model/types";
import { NamedCard } from "./NamedCard";
import { Numbers } from "./Numbers";
import { ShowWhere } from "./parts/ShowWhere";

export function ToolCard() {
  const tool = useTool();
  const problem = useProblem((s) => s.problem);
  const isEmpty = useDesign((s) => s.design !== null && s.design.pieces.length === 0 && s.design.references.length === 0);
  if (!tool && !problem) return isEmpty ? <Card><Empty /></Card> : null;
  return (
    <Card>
      {problem && <Said problem={problem} above={tool !== null} />}
      {tool?.is === "card" && <NamedCard key={tool.id} name={tool.card} tool={tool} />}
      {tool && tool.is !== "card" && <Numbers key={tool.id} tool={tool} />}
    </Card>
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
      sx={{ position: "absolute", left: 180, right: 10, mx: "auto", width: "fit-content", bottom: 12, px: 1.5, py: 1.1, borderRadius: 2, maxWidth: "min(880px, calc(100% - 190px))", zIndex: 2 }}
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
