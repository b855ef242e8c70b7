/** Looks for the largest radius that holds on the edges chosen, in the solid kernel, and says where more would break. */
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import LinearProgress from "@mui/material/LinearProgress";
import Stack from "@mui/material/Stack";
import Typography from "@mui/material/Typography";
import { useEffect, useState } from "react";
import { attempt } from "../../live/picks";
import { service } from "../../live/service";
import { useBodies } from "../../live/stores/bodies";
import { useDesign, usePiece, useUnit } from "../../live/stores/design";
import { useFollowers } from "../../live/stores/followers";
import { usePicking } from "../../live/stores/picking";
import { useSession } from "../../live/stores/session";
import { change } from "../../live/tooling";
import type { FoundState } from "../../model/types";
import { figures, lengthsWords, toUnit, type Unit } from "../../model/units";
import type { Vec } from "../../model/vec";
import { ShowWhere } from "../parts/ShowWhere";
import { useChosenEdges } from "../parts/useChosenEdges";
import { useFor } from "../parts/useFor";
import { useJob } from "../parts/useJob";

type Chain = FoundState["chains"][number];

const inWords = (mm: number, unit: Unit) => `${figures(toUnit(mm, unit), 3)} ${unit}`;
const orNone = (radius: number, unit: Unit) => (radius > 0 ? inWords(radius, unit) : "none");
const middleOfLine = ({ line }: Chain): Vec => line[Math.floor(line.length / 2)];
const holds = (found: FoundState) => found.radius >= found.wished;

export default function FilletFinder() {
  const design = useDesign((s) => s.design?.id);
  const piece = usePiece(usePicking((s) => s.piece));
  const [key, setKey] = useState<string | null>(null);
  const chosen = useChosenEdges();
  // Radii that were found belong to the edges and the form that they were found on.
  const [found, setFound] = useFor<FoundState>(`${JSON.stringify(chosen)} ${piece?.made_from}`);
  const { job, begin, cancel } = useJob(async () => {
    if (key) setFound(await service.found(key));
  });
  useMarks(found);
  if (!design || !piece) return null;
  const find = () =>
    void attempt(async () => {
      if (!chosen) return;
      setFound(null);
      const { editing } = useFollowers.getState();
      const before = editing?.piece === piece.id ? (editing.follower.id ?? null) : null;
      const radius = Number(useSession.getState().values.radius);
      const begun = await service.beginFinder(design, piece.id, { ...chosen, radius, before, seconds: 20, budget: 90 });
      setKey(begun.key);
      begin(begun.job.id);
    });
  return (
    <Box sx={{ mt: 0.75 }}>
      <Stack direction="row" spacing={1.25} sx={{ alignItems: "center" }}>
        {job ? (
          <>
            <Button size="small" color="inherit" onClick={cancel}>Stop looking</Button>
            <Box sx={{ flexGrow: 1, minWidth: 180 }}>
              <LinearProgress variant="determinate" aria-label="Looking for the radius" value={100 * job.progress} />
              <Typography variant="body2" color="text.secondary" role="status">{job.words}</Typography>
            </Box>
          </>
        ) : (
          <Button size="small" variant="outlined" disabled={!chosen} onClick={find}>Find the largest radius that holds</Button>
        )}
        {found && !job && <Outcome found={found} />}
      </Stack>
      {found && !job && !holds(found) && <WhatBreaks found={found} piece={piece.id} />}
    </Box>
  );
}

/** On the form: the radius that holds on each chain, and where more would break. */
function useMarks(found: FoundState | null): void {
  const unit = useUnit();
  useEffect(() => {
    const chains = found?.chains ?? [];
    const broken = chains.flatMap((chain) => (chain.breaks_at ? [chain.breaks_at] : []));
    useBodies.setState({ broken, labels: chains.map((chain) => ({ at: middleOfLine(chain), words: orNone(chain.holds, unit) })) });
  }, [found, unit]);
}

function outcomeOf(found: FoundState, unit: Unit): string {
  if (holds(found)) return `${inWords(found.wished, unit)} holds on all of them.`;
  const late = found.ended === "time" ? " The time was up; this is the best so far." : "";
  if (found.radius > 0) return `${inWords(found.wished, unit)} breaks; ${inWords(found.radius, unit)} holds.${late}`;
  return `None was found that holds on all of them together.${late}`;
}

function Outcome({ found }: { found: FoundState }) {
  const unit = useUnit();
  return (
    <>
      <Typography variant="body2" role="status" data-testid="found" sx={{ color: holds(found) ? "success.main" : "#8A5A00", fontWeight: 600 }}>
        {outcomeOf(found, unit)}
      </Typography>
      {!holds(found) && found.radius > 0 && <Button size="small" onClick={() => change({ radius: found.radius })}>Take {inWords(found.radius, unit)}</Button>}
    </>
  );
}

function WhatBreaks({ found, piece }: { found: FoundState; piece: string }) {
  const unit = useUnit();
  const byTriangles = found.by_triangles ?? 0;
  const several = found.chains.length > 1;
  return (
    <>
      {byTriangles > found.radius && (
        <Typography variant="body2" color="text.secondary">
          By triangles {inWords(byTriangles, unit)} can be rounded: that is for STL, 3MF and the like. A STEP file is the kernel's, and would not have it.
        </Typography>
      )}
      {found.chains.map((chain, i) => (
        <Typography key={i} variant="body2" color="text.secondary">
          {several ? `Edge ${i + 1}: ${orNone(chain.holds, unit)} holds. ` : ""}
          {tightest(chain, unit)}
          {chain.tries.length} tries. <ShowWhere piece={piece} place={chain.breaks_at ? { points: [chain.breaks_at] } : null} />
          {several && chain.holds > found.radius && (
            <Button size="small" aria-label={`Round edge ${i + 1} alone by ${inWords(chain.holds, unit)}`} onClick={() => takeAlone(chain)} sx={{ py: 0 }}>
              Take it alone
            </Button>
          )}
        </Typography>
      ))}
    </>
  );
}

function tightest({ breaks_at, bend, reason }: Chain, unit: Unit): string {
  if (!breaks_at) return "";
  const why = bend != null && bend < 1e6 ? `, where ${reason} ${inWords(bend, unit)}` : "";
  return `Tightest at ${lengthsWords(breaks_at, unit, ", ")}${why}. `;
}

function takeAlone(chain: Chain): void {
  const [near_x, near_y, near_z] = middleOfLine(chain).map((x) => +x.toFixed(3));
  change({ radius: chain.holds, only: "alone", near_x, near_y, near_z });
}
