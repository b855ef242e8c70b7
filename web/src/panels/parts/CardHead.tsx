/** The head of a card: its drawing and its name. */
import Stack from "@mui/material/Stack";
import Typography from "@mui/material/Typography";
import { DrawingIcon } from "../../theme/icons";
import type { Drawing } from "../../model/tool";

export function CardHead({ drawing, children, width }: { drawing: Drawing; children: React.ReactNode; width?: number }) {
  return (
    <Stack direction="row" spacing={0.75} sx={{ alignItems: "center", color: "primary.main" }}>
      <DrawingIcon drawing={drawing} />
      <Typography component="h2" variant="h3" noWrap={width !== undefined} sx={{ color: "text.primary", maxWidth: width }}>{children}</Typography>
    </Stack>
  );
}
