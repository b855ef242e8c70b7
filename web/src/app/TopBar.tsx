import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import IconButton from "@mui/material/IconButton";
import MenuItem from "@mui/material/MenuItem";
import Stack from "@mui/material/Stack";
import TextField from "@mui/material/TextField";
import Tooltip from "@mui/material/Tooltip";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { stopWork } from "../live/line";
import { redo, rename, showIn, undo } from "../live/opening";
import { useDesign, useUnit } from "../live/stores/design";
import { tools, useSession } from "../live/stores/session";
import { setStation } from "../live/tooling";
import { stations } from "../model/stations";
import type { Unit } from "../model/units";
import { NameField } from "../panels/parts/NameField";
import { colours } from "../theme/colours";
import { KeysIcon, RedoIcon, UndoIcon } from "../theme/icons";
import { tight, unseen } from "../theme/tight";
import { titleFont } from "../theme/theme";
import { go } from "./route";

export function TopBar({ onKeys }: { onKeys(): void }) {
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
          <Name />
          <Saved />
        </Box>
      </Stack>
      <Stations />
      <Stack direction="row" spacing={0.5} sx={{ justifyContent: "flex-end", alignItems: "center" }}>
        <UnitChoice />
        <UndoRedo />
        <Tooltip title="All keys (?)">
          <IconButton aria-label="All keys" onClick={onKeys}>
            <KeysIcon />
          </IconButton>
        </Tooltip>
      </Stack>
    </Box>
  );
}

function Name() {
  const name = useDesign((s) => s.design?.name);
  const [renaming, setRenaming] = useState(false);
  if (renaming && name !== undefined)
    return (
      <NameField
        label="Design name"
        value={name}
        onDone={(given) => {
          setRenaming(false);
          if (given) rename(given);
        }}
      />
    );
  return (
    <Tooltip title="Rename">
      <Box component="h1" sx={{ m: 0, lineHeight: 1 }}>
        <Button color="inherit" onClick={() => setRenaming(true)} sx={{ p: 0, px: 0.5, minWidth: 0, maxWidth: 230, [tight]: { maxWidth: 110 } }}>
          <Typography component="span" noWrap sx={{ fontFamily: titleFont, fontWeight: 600, fontSize: 16 }}>
            {name ?? "…"}
          </Typography>
        </Button>
      </Box>
    </Tooltip>
  );
}

/** Whether all is kept, and what the service is still working on. */
function Saved() {
  const working = useDesign((s) => s.working);
  const connected = useDesign((s) => s.connected);
  const previewed = useDesign((s) => s.preview !== null);
  const kept = !connected ? "no connection, trying again" : previewed ? "not applied yet" : "saved";
  return (
    <Typography role="status" sx={{ fontSize: 12, px: 0.5, color: connected ? "text.secondary" : "error.main" }}>
      {working ? `working, ${working.seconds} s` : kept}
      {working?.stoppable && (
        <Button size="small" color="inherit" onClick={stopWork} sx={{ py: 0, ml: 0.5, minWidth: 0, fontSize: 12, textDecoration: "underline" }}>
          Stop
        </Button>
      )}
    </Typography>
  );
}

function Stations() {
  const station = useSession((s) => s.station);
  return (
    <Stack component="nav" aria-label="Stations" direction="row" sx={{ position: "relative" }}>
      <Box sx={{ position: "absolute", top: 11, left: 36, right: 36, height: 2, bgcolor: colours.zincLight, [tight]: { display: "none" } }} />
      {stations.map(({ id, name, about }) => {
        const here = id === station;
        const filled = tools().all.some((tool) => tool.station === id);
        return (
          <Tooltip key={id} title={filled ? about : `${about}: still to come`}>
            <span>
              <Button
                disabled={!filled}
                aria-current={here ? "step" : undefined}
                onClick={() => setStation(id)}
                sx={{ flexDirection: "column", minWidth: 72, [tight]: { minWidth: 36 }, p: 0, pt: "4px", color: here ? "primary.main" : "text.primary", fontWeight: here ? 700 : 500, lineHeight: 1.3 }}
              >
                <Box
                  component="span"
                  sx={{ width: here ? 22 : 16, height: here ? 14 : 11, my: here ? 0 : "1.5px", borderRadius: "50%", zIndex: 1, bgcolor: here ? "primary.main" : filled ? colours.zinc : colours.zincLight, border: `2px solid ${colours.card}`, boxSizing: "content-box" }}
                />
                <Box component="span" sx={here ? undefined : { [tight]: unseen }}>{name}</Box>
              </Button>
            </span>
          </Tooltip>
        );
      })}
    </Stack>
  );
}

function UnitChoice() {
  const unit = useUnit();
  return (
    <TextField
      select
      variant="standard"
      value={unit}
      onChange={(event) => showIn(event.target.value as Unit)}
      slotProps={{ htmlInput: { "aria-label": "Unit" }, input: { disableUnderline: true }, select: { SelectDisplayProps: { "aria-label": "Unit" } } }}
      sx={{ mr: 1 }}
    >
      {["mm", "cm", "in"].map((one) => <MenuItem key={one} value={one}>{one}</MenuItem>)}
    </TextField>
  );
}

function UndoRedo() {
  const canUndo = useDesign((s) => s.design !== null && s.design.head > 0);
  const canRedo = useDesign((s) => s.design !== null && s.design.head < s.design.steps.length - 1);
  return (
    <>
      <Tooltip title="Undo (Ctrl Z)">
        <span>
          <IconButton aria-label="Undo" disabled={!canUndo} onClick={undo}>
            <UndoIcon />
          </IconButton>
        </span>
      </Tooltip>
      <Tooltip title="Redo (Ctrl Y)">
        <span>
          <IconButton aria-label="Redo" disabled={!canRedo} onClick={redo}>
            <RedoIcon />
          </IconButton>
        </span>
      </Tooltip>
    </>
  );
}
