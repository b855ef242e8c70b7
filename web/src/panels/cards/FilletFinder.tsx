/** Looks for the largest radius that holds on the edges chosen, in the solid kernel, and says where more would break. */
import Button from "@mui/material/Button";
import Box from "@mui/material/Box";
import LinearProgress from "@mui/material/LinearProgress";
import Stack from "@mui/material/Stack";
import Typography from "@mui/material/Typography";
import { useEffect, useState } from "react";
import { attempt } from "../../live/picks";
import { useDesign, usePiece } from "../../live/stores/design";
import { usePicking } from "../../live/stores/picking";
import { useSession } from "../../live/stores/session";
import { change } from "../../live/tooling";
import { useBodies } from "../../live/stores/bodies";
import { useFollowers } from "../../live/stores/followers";
import { service } from "../../live/service";
import type { FoundState } from "../../model/types";
import { ShowWhere } from "../parts/ShowWhere";
import { useJob } from "../parts/useJob";
import { useChosenEdges } from "../parts/useChosenEdges";

const mm = (value: number) => `${+value.toPrecision(3)} mm`;

export default function FilletFinder() {
  const design = useDesign((s) => s.design?.id);
  const piece = usePiece(usePicking((s) => s.piece));
  const editing = useFollowers((s) => s.editing);
  const [key, setKey] = useState<string | null>(null);
  const [found, setFound] = useState<FoundState | null>(null);
  const chosen = useChosenEdges();
  const { job, begin, cancel } = useJob(async () => {
    if (key) setFound(await service.found(key));
  });
  // Radii that were found belong to the edges and the form that they were found on.
  useEffect(() => {
    setFound(null);
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [JSON.stringify(chosen), piece?.made_from]);
  useEffect(() => {
    const points = found?.chains.flatMap((chain) => (chain.breaks_at ? [chain.breaks_at] : [])) ?? [];
    // The radius that holds on each chain stands on it.
    const labels = found?.chains.map((chain) => ({ at: chain.line[Math.floor(chain.line.length / 2)] as [number, number, number], words: chain.holds > 0 ? mm(chain.holds) : "none" })) ?? [];
    useBodies.setState({ broken: points, labels });
  }, [found]);
  if (!design || !piece) return null;
  const find = () =>
    void attempt(async () => {
      if (!chosen) return;
      setFound(null);
      const before = editing?.piece === piece.id ? (editing.follower.id ?? null) : null;
      const begun = await service.beginFinder(design, piece.id, { ...chosen, radius: Number(useSession.getState().values.radius), before, seconds: 20, budget: 90 });
      setKey(begun.key);
      begin(begun.job.id);
    });
  const holds = found !== null && found.radius >= found.wished;
  return (
    <Box sx={{ mt: 0.75 }}>
      <Stack direction="row" spacing={1.25} sx={{ alignItems: "center" }}>
        {job ? (
          <Button size="small" color="inherit" onClick={cancel}>Stop looking</Button>
        ) : (
          <Button size="small" variant="outlined" disabled={!chosen} onClick={find}>Find the largest radius that holds</Button>
        )}
        {job && (
          <Box sx={{ flexGrow: 1, minWidth: 180 }}>
            <LinearProgress variant="determinate" aria-label="Looking for the radius" value={100 * job.progress} />
            <Typography variant="body2" color="text.secondary" role="status">{job.words}</Typography>
          </Box>
        )}
        {found && !job && (
          <Typography variant="body2" role="status" data-testid="found" sx={{ color: holds ? "success.main" : "#8A5A00", fontWeight: 600 }}>
            {holds
              ? `${mm(found.wished)} holds on all of them.`
              : found.radius > 0
                ? `${mm(found.wished)} breaks; ${mm(found.radius)} holds.`
                : "None was found that holds on all of them together."}
            {!holds && found.ended === "time" ? " The time was up; this is the best so far." : ""}
          </Typography>
        )}
        {found && !job && !holds && found.radius > 0 && (
          <Button size="small" onClick={() => change({ radius: found.radius })}>Take {mm(found.radius)}</Button>
        )}
      </Stack>
      {found && !job && !holds && (found.by_triangles ?? 0) > found.radius && (
        <Typography variant="body2" color="text.secondary">
          By triangles {mm(found.by_triangles ?? 0)} can be rounded: that is for STL, 3MF and the like. A STEP file is the kernel's, and would not have it.
        </Typography>
      )}
      {found && !job && !holds &&
        found.chains.map((chain, i) => (
          <Typography key={i} variant="body2" color="text.secondary">
            {found.chains.length > 1 ? `Edge ${i + 1}: ${chain.holds > 0 ? mm(chain.holds) : "none"} holds. ` : ""}
            {chain.breaks_at
              ? `Tightest at ${chain.breaks_at.map((x) => +x.toFixed(1)).join(", ")} mm${chain.bend != null && chain.bend < 1e6 ? `, where ${chain.reason} ${mm(chain.bend)}` : ""}. `
              : ""}
            {chain.tries.length} tries. <ShowWhere piece={piece.id} place={chain.breaks_at ? { points: [chain.breaks_at] } : null} />
            {found.chains.length > 1 && chain.holds > found.radius && (
              <Button
                size="small"
                aria-label={`Round edge ${i + 1} alone by ${mm(chain.holds)}`}
                onClick={() => {
                  const [near_x, near_y, near_z] = chain.line[Math.floor(chain.line.length / 2)].map((x) => +x.toFixed(3));
                  change({ radius: chain.holds, only: "alone", near_x, near_y, near_z });
                }}
                sx={{ py: 0 }}
              >
                Take it alone
              </Button>
            )}
          </Typography>
        ))}
    </Box>
  );
}
