/** Pieces and Steps, on the right; they fold away. */
import Box from "@mui/material/Box";
import IconButton from "@mui/material/IconButton";
import List from "@mui/material/List";
import ListItem from "@mui/material/ListItem";
import ListItemButton from "@mui/material/ListItemButton";
import Typography from "@mui/material/Typography";
import { useEffect, useRef, useState } from "react";
import { useBench } from "../../live/bench";
import { FoldIcon } from "../../theme/icons";
import { Followers } from "./Followers";
import { Pieces } from "./Pieces";
import { References } from "./References";

export function SidePanel() {
  const [folded, setFolded] = useState(false);
  return (
    <Box
      component="aside"
      aria-label="Pieces and steps"
      sx={{ width: folded ? 34 : 268, flexShrink: 0, bgcolor: "background.paper", borderLeft: 1, borderColor: "divider", display: "flex", flexDirection: "column", minHeight: 0 }}
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
          <Followers />
          <References />
          <Steps />
        </>
      )}
    </Box>
  );
}

function Steps() {
  const { design, goTo, preview } = useBench();
  const present = useRef<HTMLLIElement>(null);
  const coming = useRef<HTMLLIElement>(null);
  useEffect(() => {
    // It returns a promise in newer browsers, which an effect must not.
    void (coming.current ?? present.current)?.scrollIntoView({ block: "nearest" });
  }, [design?.head, design?.steps.length, preview?.title]);
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
          <ListItem ref={coming} sx={{ py: 0.3, pl: 1.5, alignItems: "baseline" }}>
            <Typography variant="body2" color="text.secondary" sx={{ width: 24, flexShrink: 0 }}>…</Typography>
            <Typography variant="body2" color="text.secondary" sx={{ fontStyle: "italic" }}>{preview.title}</Typography>
          </ListItem>
        )}
      </List>
    </Box>
  );
}
