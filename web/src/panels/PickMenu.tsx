/** Picking by rules: from what is picked to what is meant. Each rule is also a key, where it is used often. */
import Button from "@mui/material/Button";
import Divider from "@mui/material/Divider";
import ListSubheader from "@mui/material/ListSubheader";
import MenuItem from "@mui/material/MenuItem";
import MenuList from "@mui/material/MenuList";
import Popover from "@mui/material/Popover";
import Stack from "@mui/material/Stack";
import TextField from "@mui/material/TextField";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { useShallow } from "zustand/react/shallow";
import { give } from "../live/line";
import { pickBy } from "../live/picks";
import { usePiece } from "../live/stores/design";
import { usePicking } from "../live/stores/picking";
import { rules } from "../model/rules";

export function PickMenu() {
  const [piece, picked, pickKind] = usePicking(useShallow((s) => [s.piece, s.picked, s.pickKind] as const));
  const [at, setAt] = useState<HTMLElement | null>(null);
  const [name, setName] = useState("");
  const state = usePiece(piece);
  const sets = Object.entries(state?.face_sets ?? {});
  const close = () => setAt(null);
  const keep = () => {
    if (!name.trim() || !piece) return;
    void give({ kind: "name-faces", piece, picked: { kind: "face", ids: picked }, name: name.trim() });
    setName("");
    close();
  };
  return (
    <>
      <Button size="small" color="inherit" onClick={(event) => setAt(event.currentTarget)} aria-haspopup="menu" disabled={!state} sx={{ fontWeight: 500, minWidth: 0, px: 0.75 }}>
        Pick by…
      </Button>
      <Popover anchorEl={at} open={at !== null} onClose={close} anchorOrigin={{ vertical: "bottom", horizontal: "left" }} slotProps={{ paper: { role: "dialog", "aria-label": "Pick by rules and names" } }}>
        <MenuList dense autoFocusItem={at !== null} aria-label="Pick by rules">
        {rules.map(({ id, words, key, rule, fits }) => (
          <MenuItem
            key={id}
            disabled={!fits(pickKind, picked.length)}
            onClick={() => {
              close();
              void pickBy(rule(pickKind));
            }}
          >
            <Stack direction="row" sx={{ width: "100%", justifyContent: "space-between", gap: 3 }}>
              {words}
              <Typography component="span" variant="body2" color="text.secondary">{key}</Typography>
            </Stack>
          </MenuItem>
        ))}
        <Divider />
        <ListSubheader role="presentation" sx={{ lineHeight: 2, bgcolor: "transparent" }}>Named face sets</ListSubheader>
        {sets.map(([set, count]) => (
          <MenuItem
            key={set}
            onClick={() => {
              close();
              void pickBy({ rule: "face-set", name: set });
            }}
          >
            {set}
            <Typography component="span" variant="body2" color="text.secondary" sx={{ ml: 1, flexGrow: 1 }}>{count} faces</Typography>
            <Button
              size="small"
              aria-label={`Forget the set ${set}`}
              onClick={(event) => {
                event.stopPropagation();
                if (piece) void give({ kind: "forget-faces", piece, name: set });
                close();
              }}
            >
              Forget
            </Button>
          </MenuItem>
        ))}
        </MenuList>
        {pickKind === "face" && picked.length > 0 ? (
          <Stack direction="row" spacing={1} sx={{ px: 2, py: 0.75 }} onKeyDown={(event) => event.stopPropagation()}>
            <TextField label="Name the picked faces" value={name} onChange={(event) => setName(event.target.value)} onKeyDown={(event) => {
                if (event.key !== "Enter") return;
                // Else the key would press the button that the focus goes back to.
                event.preventDefault();
                keep();
              }} slotProps={{ htmlInput: { maxLength: 80 } }} />
            <Button onClick={keep} disabled={!name.trim()}>Keep</Button>
          </Stack>
        ) : (
          sets.length === 0 && <Typography variant="body2" color="text.secondary" sx={{ px: 2, pb: 1 }}>None yet. Pick faces, then name them here.</Typography>
        )}
      </Popover>
    </>
  );
}
