import Autocomplete from "@mui/material/Autocomplete";
import Paper from "@mui/material/Paper";
import TextField from "@mui/material/TextField";
import { tools } from "../live/stores/session";
import { takeTool } from "../live/tooling";
import { toolsFor } from "../model/finding";
import { stationName } from "../model/stations";

/** Every tool of every station by typing its name. */
export function FindTool({ onClose }: { onClose(): void }) {
  return (
    <Paper elevation={6} sx={{ position: "absolute", left: "50%", top: 90, width: 340, ml: "-170px", p: 1.5, zIndex: 5 }}>
      <Autocomplete
        open
        options={tools().all}
        autoHighlight
        getOptionLabel={(tool) => tool.name}
        filterOptions={(all, { inputValue }) => toolsFor(all, inputValue)}
        noOptionsText="No tool by that word"
        groupBy={(tool) => stationName(tool.station)}
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
