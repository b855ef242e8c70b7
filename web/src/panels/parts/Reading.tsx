/** How far a file is that is being read in; it can be stopped. */
import Button from "@mui/material/Button";
import LinearProgress from "@mui/material/LinearProgress";
import Stack from "@mui/material/Stack";
import Typography from "@mui/material/Typography";
import { useQuery } from "@tanstack/react-query";
import { attempt } from "../../live/picks";
import { service } from "../../live/service";

export function Reading({ watch }: { watch: string }) {
  const { data } = useQuery({ queryKey: ["reading", watch], queryFn: () => service.reading(watch), refetchInterval: 300 });
  // Small files are in before anybody could stop them.
  if (!data) return null;
  return (
    <Stack direction="row" spacing={1.5} sx={{ alignItems: "center", mt: 1 }}>
      <Stack sx={{ flexGrow: 1, minWidth: 0 }}>
        <LinearProgress variant="determinate" aria-label="Reading the file" value={100 * data.progress} />
        <Typography variant="body2" color="text.secondary" role="status" data-testid="reading">{data.words}</Typography>
      </Stack>
      <Button color="inherit" onClick={() => void attempt(() => service.stopReading(watch))}>Stop</Button>
    </Stack>
  );
}
