import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import IconButton from "@mui/material/IconButton";
import MenuItem from "@mui/material/MenuItem";
import Stack from "@mui/material/Stack";
import TextField from "@mui/material/TextField";
import Tooltip from "@mui/material/Tooltip";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { useBench } from "../live/bench";
import { NameField } from "../panels/NameField";
import { stations } from "../stations/stations";
import { KeysIcon, RedoIcon, UndoIcon } from "../theme/icons";
import { colours } from "../theme/colours";
import { titleFont } from "../theme/theme";
import { tools } from "../tools/all";
import { go } from "./route";

export function TopBar({ onKeys }: { onKeys(): void }) {
  const { design, connected, station, setStation, undo, redo, rename, showIn, preview, working, stopWork } = useBench();
  const [renaming, setRenaming] = useState(false);
  const steps = design?.steps.length ?? 0;
  const saved = working ? `working, ${working.seconds} s` : !connected ? "no connection, trying again" : preview ? "not applied yet" : "saved";
  return (
    <Box
      component="header"
      sx={{ display: "grid", gridTemplateColumns: "1fr auto 1fr", alignItems: "center", height: 52, px: 1.5, bgcolor: "background.paper", borderBottom: 1, borderColor: "divider" }}
    >
      <Stack direction="row" spacing={1} sx={{ alignItems: "center", minWidth: 0 }}>
        <Tooltip title="All designs">
          <IconButton size="small" aria-label="All designs" onClick={() => go("/")}>
            <Box component="img" src="/favicon.svg" alt="" sx={{ width: 30, height: 30 }} />
          </IconButton>
        </Tooltip>
        <Box sx={{ minWidth: 0, lineHeight: 1.1 }}>
          {renaming && design ? (
            <NameField
              label="Design name"
              value={design.name}
              onDone={(name) => {
                setRenaming(false);
                if (name) rename(name);
              }}
            />
          ) : (
            <Tooltip title="Rename">
              <Button color="inherit" onClick={() => setRenaming(true)} sx={{ p: 0, px: 0.5, minWidth: 0, maxWidth: 230 }}>
                <Typography noWrap sx={{ fontFamily: titleFont, fontWeight: 600, fontSize: 16 }}>
                  {design?.name ?? "…"}
                </Typography>
              </Button>
            </Tooltip>
          )}
          <Typography role="status" sx={{ fontSize: 12, px: 0.5, color: connected ? "text.secondary" : "error.main" }}>
            {saved}
            {working?.stoppable && (
              <Button size="small" color="inherit" onClick={stopWork} sx={{ py: 0, ml: 0.5, minWidth: 0, fontSize: 12, textDecoration: "underline" }}>
                Stop
              </Button>
            )}
          </Typography>
        </Box>
      </Stack>

      <Stack component="nav" aria-label="Stations" direction="row" sx={{ position: "relative" }}>
        <Box sx={{ position: "absolute", top: 11, left: 36, right: 36, height: 2, bgcolor: colours.zincLight }} />
        {stations.map(({ id, name, about }) => {
          const here = id === station;
          const filled = tools.some((tool) => tool.station === id);
          return (
            <Tooltip key={id} title={filled ? about : `${about}: still to come`}>
              <span>
                <Button
                  disabled={!filled}
                  aria-current={here ? "step" : undefined}
                  onClick={() => setStation(id)}
                  sx={{ flexDirection: "column", minWidth: 72, p: 0, pt: "4px", color: here ? "primary.main" : "text.primary", fontWeight: here ? 700 : 500, lineHeight: 1.3 }}
                >
                  <Box
                    component="span"
                    sx={{ width: here ? 22 : 16, height: here ? 14 : 11, my: here ? 0 : "1.5px", borderRadius: "50%", zIndex: 1, bgcolor: here ? "primary.main" : filled ? colours.zinc : colours.zincLight, border: `2px solid ${colours.card}`, boxSizing: "content-box" }}
                  />
                  {name}
                </Button>
              </span>
            </Tooltip>
          );
        })}
      </Stack>

      <Stack direction="row" spacing={0.5} sx={{ justifyContent: "flex-end", alignItems: "center" }}>
        <TextField
          select
          variant="standard"
          value={design?.unit ?? "mm"}
          onChange={(event) => showIn(event.target.value as "mm" | "cm" | "in")}
          slotProps={{ htmlInput: { "aria-label": "Unit" }, input: { disableUnderline: true }, select: { SelectDisplayProps: { "aria-label": "Unit" } } }}
          sx={{ mr: 1 }}
        >
          {["mm", "cm", "in"].map((unit) => <MenuItem key={unit} value={unit}>{unit}</MenuItem>)}
        </TextField>
        <Tooltip title="Undo (Ctrl Z)">
          <span>
            <IconButton aria-label="Undo" disabled={!design || design.head === 0} onClick={undo}>
              <UndoIcon />
            </IconButton>
          </span>
        </Tooltip>
        <Tooltip title="Redo (Ctrl Y)">
          <span>
            <IconButton aria-label="Redo" disabled={!design || design.head >= steps - 1} onClick={redo}>
              <RedoIcon />
            </IconButton>
          </span>
        </Tooltip>
        <Tooltip title="All keys (?)">
          <IconButton aria-label="All keys" onClick={onKeys}>
            <KeysIcon />
          </IconButton>
        </Tooltip>
      </Stack>
    </Box>
  );
}
