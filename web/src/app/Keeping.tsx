/** How much room the designs take, giving some back, and whether they are only read. */
import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import Stack from "@mui/material/Stack";
import Typography from "@mui/material/Typography";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { service } from "../live/service";

const useKeeping = () => useQuery({ queryKey: ["keeping"], queryFn: service.keeping, refetchInterval: 5_000 });

const size = (bytes: number) =>
  bytes < 1e5 ? `${Math.round(bytes / 1e3)} kB` : bytes < 1e9 ? `${(bytes / 1e6).toFixed(1)} MB` : `${(bytes / 1e9).toFixed(1)} GB`;

export function Reading() {
  const reading = useKeeping().data?.reading;
  return reading ? <Alert severity="warning" sx={{ mb: 2 }}>{reading}</Alert> : null;
}

export function Room() {
  const client = useQueryClient();
  const { data: keeping } = useKeeping();
  if (!keeping) return null;
  const clear = async () => client.setQueryData(["keeping"], await service.clearMade());
  return (
    <Stack component="section" aria-label="Room taken" direction="row" spacing={1} useFlexGap sx={{ mt: 4, alignItems: "center", flexWrap: "wrap" }}>
      <Typography variant="body2" color="text.secondary">
        Designs with all their steps take {size(keeping.designs)}; solids, pictures and files made of them {size(keeping.made)}, kept for{" "}
        {keeping.made_days} days; copies of the last {keeping.copy_days} days that were worked {size(keeping.copies)}.
      </Typography>
      {keeping.made > 0 && !keeping.reading && (
        <Button size="small" color="inherit" onClick={() => void clear()}>Remove what can be made again</Button>
      )}
    </Stack>
  );
}
