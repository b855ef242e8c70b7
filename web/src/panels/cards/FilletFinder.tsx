/** Looks for the largest radius that holds on the edges chosen, in the solid kernel, and says where more would break. */
import Button from "@mui/material/Button";
import Box from "@mui/material/Box";
import LinearProgress from "@mui/material/LinearProgress";
import Stack from "@mui/material/Stack";
import Typography from "@mui/material/Typography";
import { useEffect, useState } from "react";
import { useBench } from "../../live/bench";
import { useBodies } from "../../live/bodies";
import { edgesOf, useFollowers } from "../../live/followers";
import { service } from "../../live/service";
import type { FoundState } from "../../live/types";
import { useJob } from "../useJob";

export function FilletFinder() {
  const { design, piece: current, values, setValues, attempt } = useBench();
  const piece = design?.pieces.find((p) => p.id === current);
  const editing = useFollowers((s) => s.editing);
  useBodies((s) => s.settled);
  const [key, setKey] = useState<string | null>(null);
  const [found, setFound] = useState<FoundState | null>(null);
  const edges = edgesOf(piece);
  const between = edges[values.edge];
  const { job, begin, cancel } = useJob(async () => {
    if (key) setFound(await service.found(key));
  });
  useEffect(() => {
    useBodies.setState({ meant: piece && between ? { piece: piece.id, between } : null });
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [piece?.id, between?.join()]);
  // Radii that were found belong to the edges and the form that they were found on.
  useEffect(() => {
    setFound(null);
    useBodies.setState({ broken: [] });
  }, [between?.join(), piece?.made_from]);
  useEffect(() => {
    const points = found?.chains.flatMap((chain) => (chain.breaks_at ? [chain.breaks_at] : [])) ?? [];
    useBodies.setState({ broken: points as [number, number, number][] });
  }, [found]);
  if (!design || !piece) return null;
  const find = () =>
    void attempt(async () => {
      setFound(null);
      const before = editing?.piece === piece.id ? (editing.follower.id ?? null) : null;
      const begun = await service.beginFinder(design.id, piece.id, { between: between as [string, string], radius: values.radius, before, seconds: 20 });
      setKey(begun.key);
      begin(begun.job.id);
    });
  const mm = (value: number) => `${+value.toPrecision(3)} mm`;
  const holds = found !== null && found.radius >= found.wished;
  return (
    <Box sx={{ mt: 0.75 }}>
      <Stack direction="row" spacing={1.25} sx={{ alignItems: "center" }}>
        {job ? (
          <Button size="small" color="inherit" onClick={cancel}>Stop looking</Button>
        ) : (
          <Button size="small" variant="outlined" disabled={!between} onClick={find}>Find the largest radius that holds</Button>
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
                : `No radius down to ${mm(0.02 * found.wished)} holds here.`}
          </Typography>
        )}
        {found && !job && !holds && found.radius > 0 && (
          <Button size="small" onClick={() => setValues({ ...values, radius: Math.floor(found.radius * 1000) / 1000 })}>Take {mm(found.radius)}</Button>
        )}
      </Stack>
      {found && !job && !holds &&
        found.chains.map((chain, i) => (
          <Typography key={i} variant="body2" color="text.secondary">
            {found.chains.length > 1 ? `Edge ${i + 1}: ${chain.holds > 0 ? mm(chain.holds) : "none"} holds. ` : ""}
            {chain.breaks_at
              ? `Tightest at ${chain.breaks_at.map((x) => +x.toFixed(1)).join(", ")} mm${chain.bend != null && chain.bend < 1e6 ? `, where ${chain.reason} ${mm(chain.bend)}` : ""}. `
              : ""}
            {chain.tries.length} tries.
          </Typography>
        ))}
    </Box>
  );
}
