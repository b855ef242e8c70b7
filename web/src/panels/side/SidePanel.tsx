/** Pieces and Steps, on the right; they fold away. */
import Box from "@mui/material/Box";
import IconButton from "@mui/material/IconButton";
import { useState } from "react";
import { useSession } from "../../live/stores/session";
import { FoldIcon } from "../../theme/icons";
import { useTight } from "../../theme/tight";
import { Followers } from "./Followers";
import { Growth } from "./Growth";
import { Pieces } from "./Pieces";
import { Proofs } from "./Proofs";
import { References } from "./References";
import { Steps } from "./Steps";

export function SidePanel() {
  // Where there is little room it is folded until it is asked for, and lies over the view then.
  const isTight = useTight();
  const [asked, setAsked] = useState<boolean | null>(null);
  const folded = asked ?? isTight;
  // What is asked there needs the room, and goes by the form before its followers.
  const proves = useSession((s) => s.station === "prove");
  return (
    <Box
      component="aside"
      aria-label="Pieces and steps"
      sx={{ width: folded ? 34 : 268, flexShrink: 0, ...(isTight && !folded && { position: "absolute", right: 0, top: 52, bottom: 30, zIndex: 4 }), bgcolor: "background.paper", borderLeft: 1, borderColor: "divider", display: "flex", flexDirection: "column", minHeight: 0 }}
    >
      <IconButton
        size="small"
        aria-label={folded ? "Show pieces and steps" : "Fold pieces and steps away"}
        aria-expanded={!folded}
        onClick={() => setAsked(!folded)}
        sx={{ alignSelf: folded ? "center" : "flex-end", position: folded ? "static" : "absolute", mt: 0.5, mr: 0.5, zIndex: 1 }}
      >
        <FoldIcon fontSize="small" sx={{ transform: folded ? "rotate(180deg)" : undefined }} />
      </IconButton>
      {!folded && (
        <>
          <Pieces />
          {proves ? <Proofs /> : <Growth />}
          {!proves && <Followers />}
          <References />
          <Steps />
        </>
      )}
    </Box>
  );
}
