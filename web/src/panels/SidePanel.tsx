/** Pieces and Steps, on the right; they fold away. */
import Box from "@mui/material/Box";
import IconButton from "@mui/material/IconButton";
import List from "@mui/material/List";
import ListItem from "@mui/material/ListItem";
import ListItemButton from "@mui/material/ListItemButton";
import Stack from "@mui/material/Stack";
import Tooltip from "@mui/material/Tooltip";
import Typography from "@mui/material/Typography";
import { useEffect, useRef, useState } from "react";
import { useBench } from "../live/bench";
import type { PieceState } from "../live/types";
import { DeleteIcon, FoldIcon, HiddenIcon, PenIcon, ShownIcon } from "../theme/icons";
import { NameField } from "./NameField";

export function SidePanel() {
  const [folded, setFolded] = useState(false);
  return (
    <Box
      component="aside"
      aria-label="Pieces and steps"
      sx={{ width: folded ? 34 : 248, flexShrink: 0, bgcolor: "background.paper", borderLeft: 1, borderColor: "divider", display: "flex", flexDirection: "column", minHeight: 0 }}
    >
      <IconButton
        size="small"
        aria-label={folded ? "Show pieces and steps" : "Fold pieces and steps away"}
        aria-expanded={!folded}
        onClick={() => setFolded(!folded)}
        sx={{ alignSelf: folded ? "center" : "flex-end", position: folded ? "static" : "absolute", mt: 0.5, mr: 0.5, zIndex: 1 }}
      >
        <FoldIcon fontSize="small" sx={{ transform: folded ? "rotate(180deg)" : undefined }} />
      </IconButton>
      {!folded && (
        <>
          <Pieces />
          <Steps />
        </>
      )}
    </Box>
  );
}

function Pieces() {
  const design = useBench((s) => s.design);
  return (
    <Box component="section" aria-label="Pieces" sx={{ borderBottom: 1, borderColor: "divider", maxHeight: "45%", overflow: "auto" }}>
      <Typography variant="h3" sx={{ px: 1.5, pt: 1 }}>Pieces</Typography>
      {design?.pieces.length === 0 && (
        <Typography variant="body2" color="text.secondary" sx={{ px: 1.5, pb: 1.5 }}>
          What you put down is listed here, to be shown, hidden and named.
        </Typography>
      )}
      <List dense disablePadding>
        {design?.pieces.map((piece) => <PieceRow key={piece.id} piece={piece} />)}
      </List>
    </Box>
  );
}

function PieceRow({ piece }: { piece: PieceState }) {
  const { piece: current, pick, give } = useBench();
  const [renaming, setRenaming] = useState(false);
  return (
    <ListItem disablePadding sx={{ "& .at-need": { opacity: 0.35 }, "&:hover .at-need, &:focus-within .at-need": { opacity: 1 } }}>
      {renaming ? (
        <Box sx={{ px: 1.5, py: 0.5, flexGrow: 1 }}>
          <NameField
            label="Piece name"
            value={piece.name}
            onDone={(name) => {
              setRenaming(false);
              if (name) give({ kind: "rename-piece", piece: piece.id, name });
            }}
          />
        </Box>
      ) : (
        <ListItemButton selected={piece.id === current} onClick={() => pick(piece.id, [])} sx={{ minWidth: 0, pl: 1.5, pr: 0 }}>
          <Typography noWrap variant="body2" sx={{ fontWeight: 600, color: piece.visible ? undefined : "text.secondary" }}>
            {piece.name}
          </Typography>
        </ListItemButton>
      )}
      <Stack direction="row">
        <Tooltip title="Rename">
          <IconButton className="at-need" size="small" aria-label={`Rename ${piece.name}`} onClick={() => setRenaming(true)}>
            <PenIcon fontSize="small" />
          </IconButton>
        </Tooltip>
        <Tooltip title="Delete">
          <IconButton className="at-need" size="small" aria-label={`Delete ${piece.name}`} onClick={() => give({ kind: "delete-piece", piece: piece.id })}>
            <DeleteIcon fontSize="small" />
          </IconButton>
        </Tooltip>
        <Tooltip title={piece.visible ? "Hide" : "Show"}>
          <IconButton
            size="small"
            aria-label={`${piece.visible ? "Hide" : "Show"} ${piece.name}`}
            onClick={() => give({ kind: "show-piece", piece: piece.id, visible: !piece.visible })}
          >
            {piece.visible ? <ShownIcon fontSize="small" /> : <HiddenIcon fontSize="small" />}
          </IconButton>
        </Tooltip>
      </Stack>
    </ListItem>
  );
}

function Steps() {
  const { design, goTo, preview } = useBench();
  const present = useRef<HTMLLIElement>(null);
  useEffect(() => {
    // It returns a promise in newer browsers, which an effect must not.
    void present.current?.scrollIntoView({ block: "nearest" });
  }, [design?.head, design?.steps.length]);
  return (
    <Box component="section" aria-label="Steps" sx={{ flexGrow: 1, overflow: "auto", minHeight: 0 }}>
      <Typography variant="h3" sx={{ px: 1.5, pt: 1 }}>Steps</Typography>
      <List dense disablePadding component="ol" sx={{ pb: 1 }}>
        {design?.steps.map((step, i) => (
          <ListItem key={step.id} disablePadding ref={i === design.head ? present : undefined}>
            <ListItemButton
              selected={i === design.head}
              aria-current={i === design.head ? "step" : undefined}
              onClick={() => goTo(step.id)}
              sx={{ py: 0.3, pl: 1.5, alignItems: "baseline", opacity: i > design.head ? 0.5 : 1 }}
            >
              <Typography variant="body2" color="text.secondary" sx={{ width: 24, flexShrink: 0 }}>{i}</Typography>
              <Typography variant="body2">{step.title}</Typography>
            </ListItemButton>
          </ListItem>
        ))}
        {preview && (
          <ListItem sx={{ py: 0.3, pl: 1.5, alignItems: "baseline" }}>
            <Typography variant="body2" color="text.secondary" sx={{ width: 24, flexShrink: 0 }}>…</Typography>
            <Typography variant="body2" color="text.secondary" sx={{ fontStyle: "italic" }}>{preview.title}</Typography>
          </ListItem>
        )}
      </List>
    </Box>
  );
}
