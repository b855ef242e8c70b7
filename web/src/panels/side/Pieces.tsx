/** The pieces of the design: show, lock, name, colour, group, order, duplicate, vary and compare. */
import Box from "@mui/material/Box";
import Divider from "@mui/material/Divider";
import IconButton from "@mui/material/IconButton";
import List from "@mui/material/List";
import ListItem from "@mui/material/ListItem";
import ListItemButton from "@mui/material/ListItemButton";
import Menu from "@mui/material/Menu";
import MenuItem from "@mui/material/MenuItem";
import Stack from "@mui/material/Stack";
import Tooltip from "@mui/material/Tooltip";
import Typography from "@mui/material/Typography";
import { Fragment, useState } from "react";
import { give } from "../../live/line";
import { pick, setPickKind } from "../../live/picks";
import { useDesign } from "../../live/stores/design";
import { usePicking } from "../../live/stores/picking";
import { show, useShow } from "../../live/stores/show";
import { sourcesOf } from "../../model/growths";
import type { AnyGrowth, Command, PieceState } from "../../model/types";
import { FreeIcon, GrowsIcon, HiddenIcon, LockedIcon, MirrorIcon, MoreIcon, ShownIcon } from "../../theme/icons";
import { clays } from "../../theme/clays";
import { NameField } from "../parts/NameField";

type Colour = Extract<Command, { kind: "colour-piece" }>["colour"];

export function Pieces() {
  const design = useDesign((s) => s.design);
  const list = design?.pieces ?? [];
  return (
    <Box component="section" aria-label="Pieces" sx={{ borderBottom: 1, borderColor: "divider", maxHeight: "42%", overflow: "auto", flexShrink: 0 }}>
      <Typography component="h2" variant="h3" sx={{ px: 1.5, pt: 1 }}>Pieces</Typography>
      {list.length === 0 && (
        <Typography variant="body2" color="text.secondary" sx={{ px: 1.5, pb: 1.5 }}>
          What you put down is listed here, to be shown, hidden and named.
        </Typography>
      )}
      <List dense disablePadding>
        {list.map((piece, i) => (
          <Fragment key={piece.id}>
            {piece.group !== null && piece.group !== list[i - 1]?.group && <GroupRow name={piece.group} members={list.filter((p) => p.group === piece.group)} />}
            <PieceRow piece={piece} place={i} />
          </Fragment>
        ))}
      </List>
    </Box>
  );
}

type Naming = "piece" | "group" | null;

/** A group's name picks all of it; its lock and its eye are for all of it. */
function GroupRow({ name, members }: { name: string; members: PieceState[] }) {
  const [first] = members;
  const locked = members.every((p) => p.locked);
  const visible = members.some((p) => p.visible);
  const held = usePicking((s) => s.pickKind === "piece" && s.picked.length > 0 && members.every((p) => p.id === s.piece || s.others.includes(p.id)));
  const all = members.map((p) => p.id);
  return (
    <ListItem disablePadding sx={quiet}>
      <Tooltip title={`Pick all of ${name}`}>
        <ListItemButton selected={held} aria-label={`Pick all of ${name}`} onClick={() => pickWholes(all)} sx={{ minWidth: 0, pl: 1.5, pr: 0 }}>
          <Typography noWrap variant="body2" color="text.secondary" sx={{ fontStyle: "italic" }}>{name}</Typography>
        </ListItemButton>
      </Tooltip>
      <Stack direction="row" sx={{ mr: 3.5 }}>
        <LockButton name={`all of ${name}`} locked={locked} onClick={() => void give({ kind: "lock-piece", piece: first.id, locked: !locked, with_group: true })} />
        <EyeButton name={`all of ${name}`} visible={visible} onClick={() => void give({ kind: "show-piece", piece: first.id, visible: !visible, with_group: true })} />
      </Stack>
    </ListItem>
  );
}

/** What is needed rarely stands back until it is near. */
const quiet = { "& .at-need": { opacity: 0.35 }, "&:hover .at-need, &:focus-within .at-need": { opacity: 1 } };

function PieceRow({ piece, place }: { piece: PieceState; place: number }) {
  const [menu, setMenu] = useState<HTMLElement | null>(null);
  const [wantsName, setWantsName] = useState<Naming>(null);
  const [naming, setNaming] = useState<Naming>(null);
  const wants = (what: Naming) => () => {
    setWantsName(what);
    setMenu(null);
  };
  const named = () => {
    setNaming(null);
    setWantsName(null);
  };
  return (
    <>
      <ListItem disablePadding sx={{ pl: piece.group !== null || piece.original !== null ? 1 : 0, ...quiet }}>
        {naming ? <PieceNaming piece={piece} what={naming} onDone={named} /> : <PieceName piece={piece} />}
        <PieceButtons piece={piece} onMenu={setMenu} />
        <PieceMenu
          piece={piece}
          place={place}
          at={menu}
          onClose={() => setMenu(null)}
          restore={wantsName === null}
          // The menu holds the focus until it has closed; only then can a name field have it.
          onClosed={() => setNaming(wantsName)}
          onRename={wants("piece")}
          onGroup={wants("group")}
        />
      </ListItem>
    </>
  );
}

/** The pieces that are picked as wholes. */
function wholes(): string[] {
  const { piece, others, pickKind, picked } = usePicking.getState();
  return pickKind === "piece" && picked.length && piece ? [piece, ...others] : [];
}

function pickWholes(ids: string[]): void {
  if (usePicking.getState().pickKind !== "piece") setPickKind("piece");
  pick(ids[0], [0], ids.slice(1));
}

function take(id: string, add: boolean): void {
  if (usePicking.getState().pickKind !== "piece") return pick(id, []);
  const now = wholes();
  const added = now.includes(id) ? now.filter((one) => one !== id) : [...now, id];
  const next = add ? added : [id];
  pick(next.at(0) ?? id, next.length ? [0] : [], next.slice(1));
}

function PieceNaming({ piece, what, onDone }: { piece: PieceState; what: "piece" | "group"; onDone(): void }) {
  const grouped = () => {
    const all = wholes();
    return all.includes(piece.id) ? all : [piece.id];
  };
  return (
    <Box sx={{ px: 1.5, py: 0.5, flexGrow: 1 }}>
      <NameField
        label={what === "group" ? "Group name" : "Piece name"}
        value={what === "group" ? (piece.group ?? "") : piece.name}
        onDone={(name) => {
          onDone();
          if (name && what === "group") void give({ kind: "group-pieces", pieces: grouped(), group: name });
          else if (name) void give({ kind: "rename-piece", piece: piece.id, name });
        }}
      />
    </Box>
  );
}

function PieceName({ piece }: { piece: PieceState }) {
  const design = useDesign((s) => s.design);
  const isHeld = usePicking((s) => piece.id === s.piece || (s.pickKind === "piece" && s.others.includes(piece.id)));
  const ties = piece.symmetry ? `This piece has ${piece.symmetry.words}` : piece.grown ? tiesOf(piece.grown, design?.pieces ?? []) : null;
  return (
    <ListItemButton selected={isHeld} onClick={(event) => take(piece.id, event.shiftKey)} sx={{ minWidth: 0, pl: 1.5, pr: 0, gap: 0.75 }}>
      <Box aria-hidden sx={{ width: 10, height: 10, borderRadius: "50%", flexShrink: 0, bgcolor: `rgb(${(clays[piece.colour] ?? clays.clay).lit.join(",")})`, border: "1px solid rgba(0,0,0,0.25)" }} />
      <Typography noWrap variant="body2" title={piece.name} sx={{ fontWeight: 600, color: piece.visible ? undefined : "text.secondary" }}>
        {piece.name}
      </Typography>
      {ties !== null && (
        <Tooltip title={ties}>
          {piece.grown && piece.grown.kind !== "mirrored"
            ? <GrowsIcon aria-label="grows from others" sx={{ fontSize: 16, color: "#3C6B2F", flexShrink: 0 }} />
            : <MirrorIcon aria-label={piece.symmetry?.words ?? "follows"} sx={{ fontSize: 15, color: "#6E4FA3", flexShrink: 0 }} />}
        </Tooltip>
      )}
    </ListItemButton>
  );
}

/** What a piece grows from, in words. */
function tiesOf(grown: AnyGrowth, pieces: PieceState[]): string {
  const names = sourcesOf(grown).map((id) => pieces.find((p) => p.id === id)?.name ?? "what is gone").join(", ");
  return grown.kind === "mirrored" ? `This piece follows ${names} in a mirror` : `This piece grows from ${names}`;
}

function PieceButtons({ piece, onMenu }: { piece: PieceState; onMenu(at: HTMLElement): void }) {
  const { id, name, locked, visible } = piece;
  return (
    <Stack direction="row">
      <LockButton name={name} locked={locked} onClick={() => void give({ kind: "lock-piece", piece: id, locked: !locked, with_group: false })} />
      <EyeButton name={name} visible={visible} onClick={() => void give({ kind: "show-piece", piece: id, visible: !visible, with_group: false })} />
      <IconButton size="small" aria-label={`More for ${name}`} onClick={(event) => onMenu(event.currentTarget)} sx={{ p: 0.4 }}>
        <MoreIcon fontSize="small" />
      </IconButton>
    </Stack>
  );
}

function LockButton({ name, locked, onClick }: { name: string; locked: boolean; onClick(): void }) {
  return (
    <Tooltip title={locked ? "Unlock" : "Lock"}>
      <IconButton className={locked ? undefined : "at-need"} size="small" aria-label={`${locked ? "Unlock" : "Lock"} ${name}`} onClick={onClick} sx={{ p: 0.4 }}>
        {locked ? <LockedIcon fontSize="small" /> : <FreeIcon fontSize="small" />}
      </IconButton>
    </Tooltip>
  );
}

function EyeButton({ name, visible, onClick }: { name: string; visible: boolean; onClick(): void }) {
  return (
    <Tooltip title={visible ? "Hide" : "Show"}>
      <IconButton size="small" aria-label={`${visible ? "Hide" : "Show"} ${name}`} onClick={onClick} sx={{ p: 0.4 }}>
        {visible ? <ShownIcon fontSize="small" /> : <HiddenIcon fontSize="small" />}
      </IconButton>
    </Tooltip>
  );
}

function PieceMenu(props: {
  piece: PieceState;
  place: number;
  at: HTMLElement | null;
  restore: boolean;
  onClose(): void;
  onClosed(): void;
  onGroup(): void;
  onRename(): void;
}) {
  const { piece, place, at, onClose } = props;
  const design = useDesign((s) => s.design);
  const glass = useShow((s) => s.glass);
  const isGlass = glass.includes(piece.id);
  const count = design?.pieces.length ?? 0;
  const original = piece.original ?? piece.id;
  const family = design?.pieces.filter((p) => p.id === original || p.original === original) ?? [];
  const choose = (act: () => void) => () => {
    onClose();
    act();
  };
  return (
    <Menu anchorEl={at} open={at !== null} onClose={onClose} disableRestoreFocus={!props.restore}
      slotProps={{ list: { dense: true, "aria-label": `Actions for ${piece.name}` }, transition: { onExited: props.onClosed } }}
    >
      <MenuItem onClick={props.onRename}>Rename</MenuItem>
      <MenuItem onClick={choose(() => void give({ kind: "duplicate-piece", piece: piece.id, offset: [piece.size[0] * 1.2, 0, 0] }))}>Duplicate</MenuItem>
      {(piece.symmetry ?? piece.grown) && (
        <MenuItem onClick={choose(() => void give({ kind: "make-independent", piece: piece.id }))}>Make independent</MenuItem>
      )}
      {piece.pulled > 0 && (
        <MenuItem onClick={choose(() => void give({ kind: "let-back", piece: piece.id }))}>Let {piece.pulled} pulled {piece.pulled === 1 ? "point" : "points"} go back</MenuItem>
      )}
      <MenuItem onClick={choose(() => show({ glass: isGlass ? glass.filter((id) => id !== piece.id) : [...glass, piece.id] }))}>
        {isGlass ? "See it whole again" : "See through it"}
      </MenuItem>
      <MenuItem onClick={choose(() => void give({ kind: "make-variant", piece: piece.id }))}>Make a variant</MenuItem>
      {family.filter((p) => p.id !== piece.id).map((p) => (
        <MenuItem key={p.id} onClick={choose(() => show({ compare: { a: p.id, b: piece.id, over: false } }))}>Compare with {p.name}</MenuItem>
      ))}
      {family.length > 1 && <MenuItem onClick={choose(() => void give({ kind: "keep-variant", piece: piece.id }))}>Keep this one of {family.length}</MenuItem>}
      <Divider />
      <MenuItem onClick={props.onGroup}>Group as…</MenuItem>
      {piece.group && <MenuItem onClick={choose(() => void give({ kind: "group-pieces", pieces: [piece.id], group: null }))}>Out of the group {piece.group}</MenuItem>}
      <MenuItem disabled={place === 0} onClick={choose(() => void give({ kind: "order-piece", piece: piece.id, place: place - 1 }))}>Up in the list</MenuItem>
      <MenuItem disabled={place === count - 1} onClick={choose(() => void give({ kind: "order-piece", piece: piece.id, place: place + 1 }))}>Down in the list</MenuItem>
      <MenuItem onClick={choose(() => void give({ kind: "delete-piece", piece: piece.id }))} sx={{ color: "error.main" }}>Delete</MenuItem>
      <Divider />
      <Stack component="li" direction="row" role="group" aria-label="Colour" sx={{ px: 1.5, gap: 0.5 }}>
        {Object.entries(clays).map(([colour, { lit }]) => (
          <Tooltip key={colour} title={colour}>
            <IconButton size="small" role="menuitemradio" aria-label={`Colour ${colour}`} aria-checked={piece.colour === colour} onClick={choose(() => void give({ kind: "colour-piece", piece: piece.id, colour: colour as Colour }))} sx={{ p: 0.25 }}>
              <Box sx={{ width: 20, height: 20, borderRadius: "50%", bgcolor: `rgb(${lit.join(",")})`, border: piece.colour === colour ? "3px solid #22282B" : "1px solid rgba(0,0,0,0.3)" }} />
            </IconButton>
          </Tooltip>
        ))}
      </Stack>
    </Menu>
  );
}
