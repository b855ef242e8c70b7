import Autocomplete from "@mui/material/Autocomplete";
import Box from "@mui/material/Box";
import Paper from "@mui/material/Paper";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { tools } from "../live/stores/session";
import { takeTool } from "../live/tooling";
import { toolsFor } from "../model/finding";
import { stationName } from "../model/stations";

/** Every tool of every station by typing its name. */
export function FindTool({ onClose }: { onClose(): void }) {
  return (
    <Paper elevation={6} role="dialog" aria-label="Find a tool by its words" sx={{ position: "absolute", left: "50%", top: 90, width: 340, ml: "-170px", p: 1.5, zIndex: 5 }}>
      <Autocomplete
        open
        options={tools().all}
        autoHighlight
        getOptionLabel={(tool) => tool.name}
        filterOptions={(all, { inputValue }) => toolsFor(all, inputValue)}
        noOptionsText="No tool by that word"
        groupBy={(tool) => stationName(tool.station)}
        renderGroup={({ key, group, children }) => (
          <li key={key} role="presentation">
            <Typography role="presentation" variant="body2" color="text.secondary" sx={{ px: 1.5, pt: 0.75, fontSize: 12 }}>{group}</Typography>
            <Box component="ul" role="group" aria-label={group} sx={{ p: 0 }}>{children}</Box>
          </li>
        )}
        onChange={(_, tool) => {
          if (tool) takeTool(tool.id);
          onClose();
        }}
        onBlur={onClose}
        onKeyDown={(event) => {
          if (event.key === "Escape") onClose();
          event.stopPropagation();
        }}
        renderInput={(params) => <TextField {...params} autoFocus label="Find a tool" />}
      />
    </Paper>
  );
}
