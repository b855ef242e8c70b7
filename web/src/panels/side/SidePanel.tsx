/** Pieces and Steps, on the right; they fold away. */
import Box from "@mui/material/Box";
import IconButton from "@mui/material/IconButton";
import { useState } from "react";
import { FoldIcon } from "../../theme/icons";
import { Followers } from "./Followers";
import { Pieces } from "./Pieces";
import { References } from "./References";
import { Steps } from "./Steps";

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
