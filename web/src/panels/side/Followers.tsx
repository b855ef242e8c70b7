/** The followers of the piece in hand, in their order: what leads from its form to its solid. */
import Box from "@mui/material/Box";
import IconButton from "@mui/material/IconButton";
import List from "@mui/material/List";
import ListItem from "@mui/material/ListItem";
import ListItemButton from "@mui/material/ListItemButton";
import Menu from "@mui/material/Menu";
import MenuItem from "@mui/material/MenuItem";
import Tooltip from "@mui/material/Tooltip";
import Typography from "@mui/material/Typography";
import { useState } from "react";
import { give } from "../../live/line";
import { useBodies } from "../../live/stores/bodies";
import { useDesign, usePiece, useUnit } from "../../live/stores/design";
import { useFollowers } from "../../live/stores/followers";
import { usePicking } from "../../live/stores/picking";
import { tools } from "../../live/stores/session";
import { editFollower } from "../../live/tooling";
import type { AnyFollower, Body, PieceState } from "../../model/types";
import { lengthsWords, lengthWords, volumeWords, type Unit } from "../../model/units";
import { DrawingIcon, HiddenIcon, MoreIcon, ShownIcon } from "../../theme/icons";
import { NameField } from "../parts/NameField";
import { ShowWhere } from "../parts/ShowWhere";

export function Followers() {
  const current = usePicking((s) => s.piece);
  const piece = usePiece(current);
  const body = useBodies((s) => (current ? s.byId[current] : undefined));
  const unit = useUnit();
  if (!piece?.followers.length) return null;
  return (
    <Box component="section" aria-label="Followers" sx={{ borderBottom: 1, borderColor: "divider", maxHeight: "34%", overflow: "auto", flexShrink: 0 }}>
      <Typography component="h2" variant="h3" sx={{ px: 1.5, pt: 1 }}>Followers of {piece.name}</Typography>
      <List dense disablePadding component="ol">
        {piece.followers.map((follower, i) => (
          <Row key={follower.id} piece={piece} follower={follower} place={i} note={body?.notes.find(([id]) => id === follower.id)} />
        ))}
      </List>
      {body?.volume !== undefined && (
        <Typography variant="body2" color="text.secondary" data-testid="body-facts" sx={{ px: 1.5, pb: 0.75 }}>
          {body.route === "kernel" ? "Solid" : "By triangles"}: {volumeWords(body.volume, unit, 6)}, {lengthsWords(body.size ?? [], unit)}
        </Typography>
      )}
      {body?.problem && (
        <Typography variant="body2" sx={{ px: 1.5, pb: 1, color: "error.main" }}>
          {body.problem} <ShowWhere piece={piece.id} place={body.place} />
        </Typography>
      )}
    </Box>
  );
}

const brief = (follower: AnyFollower, pieces: PieceState[], unit: Unit): string => {
  const named = (id: string | undefined) => pieces.find((p) => p.id === id)?.name ?? "what is gone";
  const said = (value: number | null | undefined) => lengthWords(value ?? 0, unit);
  switch (follower.kind) {
    case "fillet": return follower.end_radius == null ? said(follower.radius) : `${said(follower.radius)} to ${said(follower.end_radius)}`;
    case "cut-edge": return said(follower.distance);
    case "hollow": return said(follower.wall);
    case "thickened": return said(follower.distance);
    case "scale-to-size": return said(follower.length);
    case "repeat-round":
    case "repeat-along": return `${follower.count} times`;
    case "combine": return follower.body?.kind === "piece" ? named(follower.body.piece) : (follower.body?.kind ?? "");
    case "trim-sheet": return `by ${named(follower.sheet)}`;
    default: return "";
  }
};

function Row({ piece, follower, place, note }: { piece: PieceState; follower: AnyFollower; place: number; note?: Body["notes"][number] }) {
  const pieces = useDesign((s) => s.design?.pieces) ?? [];
  const unit = useUnit();
  const editing = useFollowers((s) => s.editing?.follower.id === follower.id);
  const [menu, setMenu] = useState<HTMLElement | null>(null);
  const [wantsName, setWantsName] = useState(false);
  const [renaming, setRenaming] = useState(false);
  const icon = tools().forFollower(follower)?.icon;
  const id = follower.id ?? "";
  const name = piece.called[id];
  const on = follower.on ?? true;
  const wrong = note && (note[1] === "waits" || note[1] === "failed");
  const move = (by: number) => {
    const order = piece.followers.map((f) => f.id ?? "");
    order.splice(place + by, 0, ...order.splice(place, 1));
    void give({ kind: "order-followers", piece: piece.id, order });
  };
  const act = (what: () => void) => () => {
    setMenu(null);
    what();
  };
  return (
    <ListItem disablePadding sx={{ flexWrap: "wrap" }}>
      {renaming ? (
        <NameField
          label={`Name of ${name}`}
          value={name}
          onDone={(given) => {
            setRenaming(false);
            setWantsName(false);
            if (given) void give({ kind: "change-follower", piece: piece.id, follower: { ...follower, name: given } });
          }}
        />
      ) : (
        <ListItemButton selected={editing} onClick={() => editFollower(piece.id, follower)} aria-label={`Change ${name}`} sx={{ minWidth: 0, pl: 1.5, pr: 0, py: 0.2, gap: 0.75, opacity: on ? 1 : 0.5 }}>
          {icon && <DrawingIcon drawing={icon} fontSize="small" />}
          <Typography noWrap variant="body2" sx={{ fontWeight: 600, color: wrong ? "error.main" : undefined }}>{name}</Typography>
          <Typography noWrap variant="body2" color="text.secondary">{brief(follower, pieces, unit)}</Typography>
        </ListItemButton>
      )}
      <Tooltip title={on ? "Switch off" : "Switch on"} placement="left">
        <IconButton
          size="small"
          aria-label={`Switch ${on ? "off" : "on"} ${name}`}
          onClick={() => void give({ kind: "change-follower", piece: piece.id, follower: { ...follower, on: !on } })}
          sx={{ p: 0.4 }}
        >
          {on ? <ShownIcon fontSize="small" /> : <HiddenIcon fontSize="small" />}
        </IconButton>
      </Tooltip>
      <IconButton size="small" aria-label={`More for ${name}`} aria-haspopup="menu" onClick={(event) => setMenu(event.currentTarget)} sx={{ p: 0.4, mr: 0.5 }}>
        <MoreIcon fontSize="small" />
      </IconButton>
      {wrong && (
        <Typography variant="body2" role="status" sx={{ width: "100%", pl: 1.5, pr: 1, pb: 0.4, color: "error.main" }}>
          {note[2]} <ShowWhere piece={piece.id} place={note[3]} />
        </Typography>
      )}
      <Menu
        anchorEl={menu}
        open={menu !== null}
        onClose={() => setMenu(null)}
        disableRestoreFocus={wantsName}
        // The menu holds the focus until it has closed; only then can a name field have it.
        slotProps={{ transition: { onExited: () => setRenaming(wantsName) } }}
      >
        <MenuItem onClick={act(() => setWantsName(true))}>Rename</MenuItem>
        <MenuItem disabled={place === 0} onClick={act(() => move(-1))}>Do it earlier</MenuItem>
        <MenuItem disabled={place === piece.followers.length - 1} onClick={act(() => move(1))}>Do it later</MenuItem>
        <MenuItem onClick={act(() => void give({ kind: "remove-follower", piece: piece.id, follower: id }))}>Remove</MenuItem>
      </Menu>
    </ListItem>
  );
}
