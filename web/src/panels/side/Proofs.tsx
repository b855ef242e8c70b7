/** What is asked of the design, and how it stands: at the side, where a click takes up what was asked and shows the place. */
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import IconButton from "@mui/material/IconButton";
import ListItemButton from "@mui/material/ListItemButton";
import Typography from "@mui/material/Typography";
import { give, mapOf } from "../../live/line";
import { canMend, mend } from "../../live/mending";
import { useDesign } from "../../live/stores/design";
import { useMap } from "../../live/stores/map";
import { useProofs } from "../../live/stores/proofs";
import { editProof, makeTrue } from "../../live/tooling";
import type { AnyProof, ShownProof } from "../../model/types";
import { ShowWhere } from "../parts/ShowWhere";
import { unseen } from "../../theme/tight";

const signs = { holds: "\u2713", fails: "\u2717", unknown: "?", told: "\u2194" } as const;
const told = { holds: "Holds", fails: "Fails", unknown: "Cannot be told", told: "It measures" } as const;
const tones = { holds: "primary.main", fails: "error.main", unknown: "#8A5A00", told: "text.secondary" } as const;

/** Those that ask of a number that there is everywhere on a form. */
const mapped: AnyProof["kind"][] = ["wall", "draft", "overhang", "bends", "gap", "clearance", "deviation", "symmetric"];

export function Proofs() {
  const list = useProofs((s) => s.list);
  if (!list.length) return null;
  return (
    <Box component="section" aria-label="Proofs" sx={{ borderBottom: 1, borderColor: "divider", maxHeight: "46%", overflow: "auto", flexShrink: 0, pb: 0.5 }}>
      <Typography component="h2" variant="h3" sx={{ px: 1.5, pt: 1 }}>{heldWords(list)}</Typography>
      {list.map((proof) => <Row key={proof.id} proof={proof} />)}
    </Box>
  );
}

export function heldWords(all: ShownProof[]): string {
  // Dimensions that are held to no number neither hold nor fail.
  const list = all.filter((proof) => proof.holds !== "told");
  if (!list.length) return all.length === 1 ? "One dimension" : `${all.length} dimensions`;
  const held = list.filter((proof) => proof.holds === "holds").length;
  if (list.length === 1 && !held) return list[0].holds === "fails" ? "The proof does not hold" : "The proof cannot be told";
  return held === list.length ? (held === 1 ? "The proof holds" : `All ${held} proofs hold`) : `${held} of ${list.length} proofs ${held === 1 ? "holds" : "hold"}`;
}

function Row({ proof }: { proof: ShownProof }) {
  const { id, piece, asked, holds, words, place, fine, figure, drawn } = proof;
  const own = useDesign((s) => s.design?.proofs.find((p) => p.id === id));
  const shown = useMap((s) => s.wanted === id);
  const anywhere = Object.values(place).some((list) => Array.isArray(list) && list.length > 0);
  return (
    <Box sx={{ display: "flex", alignItems: "flex-start", pr: 0.5 }} data-testid={`proof-${holds}`}>
      <Box sx={{ flex: 1, minWidth: 0 }}>
        <ListItemButton dense disabled={!own} title="Change it" onClick={() => own && editProof(own)} sx={{ py: 0.3, px: 1.5, gap: 1, alignItems: "flex-start" }}>
          <Typography aria-hidden component="span" sx={{ color: tones[holds], fontWeight: 700, width: 14, flexShrink: 0 }}>{signs[holds]}</Typography>
          <Typography variant="body2" sx={{ fontWeight: 600 }}>{asked}</Typography>
        </ListItemButton>
        <Typography variant="body2" role="status" sx={{ pl: "34px", pb: 0.5, color: holds === "fails" ? "error.main" : "text.secondary" }}>
          <Box component="span" style={unseen}>{told[holds]}: </Box>
          {words}{fine ? "" : " (looked at coarsely)"}
        </Typography>
      </Box>
      <Box sx={{ display: "flex", flexDirection: "column", alignItems: "flex-end", flexShrink: 0 }}>
        <IconButton size="small" aria-label={`Ask no more: ${asked}`} title="Ask no more" disabled={!own} onClick={() => void give({ kind: "remove-proof", proof: id })} sx={{ p: 0.4, fontSize: 14, lineHeight: 1 }}>
          {"\u00d7"}
        </IconButton>
        {anywhere && <ShowWhere piece={piece} place={place} />}
        {own && holds === "fails" && canMend(own) && (
          <Button size="small" color="inherit" aria-label={`Mend: ${asked}`} title="Take what is at fault in hand, and the tool that mends it" onClick={() => mend(own, place)} sx={{ minWidth: 0, p: 0, px: 0.5, textDecoration: "underline" }}>
            Mend
          </Button>
        )}
        {own && drawn && figure !== null && (
          <Button size="small" color="inherit" aria-label={`Make true: ${asked}`} title="Type another number" onClick={() => makeTrue(own, figure)} sx={{ minWidth: 0, p: 0, px: 0.5, textDecoration: "underline" }}>
            Set
          </Button>
        )}
        {own && mapped.includes(own.kind) && (
          <Button size="small" color="inherit" aria-pressed={shown} aria-label={`${shown ? "Hide map" : "Map"}: ${asked}`} onClick={() => mapOf(shown ? null : id)} sx={{ minWidth: 0, p: 0, px: 0.5, textDecoration: "underline" }}>
            {shown ? "Hide map" : "Map"}
          </Button>
        )}
      </Box>
    </Box>
  );
}
