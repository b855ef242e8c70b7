import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Paper from "@mui/material/Paper";
import Stack from "@mui/material/Stack";
import Typography from "@mui/material/Typography";
import { keySheet } from "../app/keys";

/** All keys on one sheet, beside the form, not over it all. */
export function KeySheet({ onClose }: { onClose(): void }) {
  return (
    <Paper elevation={6} role="dialog" aria-label="All keys" sx={{ position: "absolute", inset: "12px", p: 2.5, overflow: "auto", zIndex: 4 }}>
      <Stack direction="row" sx={{ justifyContent: "space-between", mb: 1 }}>
        <Typography variant="h2">All keys</Typography>
        <Button onClick={onClose} autoFocus>Close</Button>
      </Stack>
      <Box sx={{ columnCount: 3, columnGap: 4 }}>
        {keySheet.map(([section, rows]) => (
          <Box key={section} sx={{ breakInside: "avoid", mb: 2 }}>
            <Typography variant="h3" gutterBottom>{section}</Typography>
            {rows.map(([keys, words]) => (
              <Stack key={keys + words} direction="row" spacing={1.5} sx={{ mb: 0.4 }}>
                <Typography variant="body2" sx={{ fontWeight: 700, minWidth: 104, maxWidth: 104 }}>{keys}</Typography>
                <Typography variant="body2">{words}</Typography>
              </Stack>
            ))}
          </Box>
        ))}
      </Box>
    </Paper>
  );
}
