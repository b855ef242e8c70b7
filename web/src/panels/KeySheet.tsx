import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Paper from "@mui/material/Paper";
import Stack from "@mui/material/Stack";
import Typography from "@mui/material/Typography";
import { useEffect } from "react";
import { type KeyRow, type Section } from "../model/keys";

/** The long lists stand in columns of their own; what is changed and how it is looked at share the last. */
const places: Record<Section, { gridColumn: number; gridRow: string; keys: number }> = {
  Pick: { gridColumn: 1, gridRow: "1 / 3", keys: 92 },
  Tools: { gridColumn: 2, gridRow: "1 / 3", keys: 64 },
  Change: { gridColumn: 3, gridRow: "1", keys: 172 },
  View: { gridColumn: 3, gridRow: "2", keys: 172 },
};

/** All keys on one sheet, beside the form, not over it all. */
export function KeySheet({ rows, onClose }: { rows: KeyRow[]; onClose(): void }) {
  // Wherever the focus is; Escape means the sheet for as long as it lies there, and nothing under it.
  useEffect(() => {
    const pressed = (event: KeyboardEvent) => {
      if (event.key !== "Escape") return;
      event.stopPropagation();
      onClose();
    };
    window.addEventListener("keydown", pressed, { capture: true });
    return () => window.removeEventListener("keydown", pressed, { capture: true });
  }, [onClose]);
  return (
    <Paper elevation={6} role="dialog" aria-label="All keys" sx={{ position: "absolute", inset: "12px", px: 2.5, py: 1.25, overflow: "auto", zIndex: 4 }}>
      <Stack direction="row" sx={{ justifyContent: "space-between" }}>
        <Typography variant="h2">All keys</Typography>
        <Button onClick={onClose} autoFocus>Close</Button>
      </Stack>
      <Box sx={{ display: "grid", gridTemplateColumns: "1.15fr 0.62fr 1.6fr", columnGap: 3.5 }}>
        {(Object.keys(places) as Section[]).map((section) => (
          <Box key={section} sx={{ mb: 1, gridColumn: places[section].gridColumn, gridRow: places[section].gridRow }}>
            <Typography component="h2" variant="h3" gutterBottom>{section}</Typography>
            {rows.filter((row) => row.section === section && row.holds !== "comparing").map((row) => (
              <Stack key={(row.shown ?? row.keys.join()) + row.words} direction="row" spacing={1.5} sx={{ mb: 0.25 }}>
                <Typography variant="body2" sx={{ fontWeight: 700, minWidth: places[section].keys, maxWidth: places[section].keys }}>
                  {row.shown ?? row.keys.join(", ")}
                </Typography>
                <Typography variant="body2">{row.words}</Typography>
              </Stack>
            ))}
          </Box>
        ))}
      </Box>
    </Paper>
  );
}
