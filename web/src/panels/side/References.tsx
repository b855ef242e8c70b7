/** The references of the design: pictures and components, to be shown, locked and taken in hand. */
import Box from "@mui/material/Box";
import IconButton from "@mui/material/IconButton";
import List from "@mui/material/List";
import ListItem from "@mui/material/ListItem";
import ListItemButton from "@mui/material/ListItemButton";
import Tooltip from "@mui/material/Tooltip";
import Typography from "@mui/material/Typography";
import { give } from "../../live/line";
import { useDesign } from "../../live/stores/design";
import { tools, useTool } from "../../live/stores/session";
import { show, useShow } from "../../live/stores/show";
import { takeTool } from "../../live/tooling";
import type { ReferenceState } from "../../model/types";
import { ComponentIcon, FreeIcon, HiddenIcon, LockedIcon, PictureIcon, ShownIcon, StickIcon } from "../../theme/icons";

export function References() {
  const references = useDesign((s) => s.design?.references) ?? [];
  if (!references.length) return null;
  return (
    <Box component="section" aria-label="References" sx={{ borderBottom: 1, borderColor: "divider", maxHeight: "24%", overflow: "auto", flexShrink: 0 }}>
      <Typography component="h2" variant="h3" sx={{ px: 1.5, pt: 1 }}>References</Typography>
      <List dense disablePadding>
        {references.map((reference) => <Row key={reference.id} reference={reference} />)}
      </List>
    </Box>
  );
}

function Row({ reference }: { reference: ReferenceState }) {
  const tool = useTool();
  const inHand = useShow((s) => s.reference);
  const Icon = reference.kind === "picture" ? PictureIcon : ComponentIcon;
  const change = (more: { visible?: boolean; locked?: boolean }) => void give({ kind: "change-reference", reference: reference.id, ...more });
  return (
    <ListItem disablePadding>
      <ListItemButton
        selected={tool?.is === "card" && tool.forReferences && inHand === reference.id}
        onClick={() => {
          show({ reference: reference.id });
          takeTool(tools().forReferences?.id ?? null);
        }}
        sx={{ minWidth: 0, pl: 1.5, pr: 0, gap: 0.75 }}
      >
        <Icon fontSize="small" />
        <Typography noWrap variant="body2" title={reference.name} sx={{ fontWeight: 600, color: reference.visible ? undefined : "text.secondary" }}>{reference.name}</Typography>
      </ListItemButton>
      {reference.kind === "component" && reference.scan && <Stick id={reference.id} name={reference.name} />}
      <Tooltip title={reference.locked ? "Unlock" : "Lock"}>
        <IconButton size="small" aria-label={`${reference.locked ? "Unlock" : "Lock"} ${reference.name}`} onClick={() => change({ locked: !reference.locked })} sx={{ p: 0.4 }}>
          {reference.locked ? <LockedIcon fontSize="small" /> : <FreeIcon fontSize="small" />}
        </IconButton>
      </Tooltip>
      <Tooltip title={reference.visible ? "Hide" : "Show"}>
        <IconButton size="small" aria-label={`${reference.visible ? "Hide" : "Show"} ${reference.name}`} onClick={() => change({ visible: !reference.visible })} sx={{ p: 0.4, mr: 0.5 }}>
          {reference.visible ? <ShownIcon fontSize="small" /> : <HiddenIcon fontSize="small" />}
        </IconButton>
      </Tooltip>
    </ListItem>
  );
}

/** Whether the surface stays on this scan while it is worked on. */
function Stick({ id, name }: { id: string; name: string }) {
  const on = useShow((s) => s.stick === id);
  return (
    <Tooltip title={on ? "The surface sticks to it: let go" : "Let the surface stick to it"}>
      <IconButton size="small" aria-label={`Stick to ${name}`} aria-pressed={on} onClick={() => show({ stick: on ? null : id })} sx={{ p: 0.4, borderRadius: 1.5, color: on ? "primary.contrastText" : undefined, bgcolor: on ? "primary.main" : undefined, "&:hover": { bgcolor: on ? "primary.dark" : undefined } }}>
        <StickIcon fontSize="small" />
      </IconButton>
    </Tooltip>
  );
}
