/** True pictures that are kept of a design: a click saves one, of many views all in rows or as they go round. */
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import IconButton from "@mui/material/IconButton";
import Stack from "@mui/material/Stack";
import Typography from "@mui/material/Typography";
import { attempt } from "../../live/picks";
import { download, service } from "../../live/service";
import { lights } from "../../model/pictures";
import type { TruePicture } from "../../model/types";

export function KeptPictures({ list, name, onRemove }: { list: TruePicture[]; name: string; onRemove: (one: TruePicture) => void }) {
  return (
    <Stack direction="row" spacing={1} component="ul" aria-label="Pictures that are kept" sx={{ mt: 1, mb: 0, pl: 0, listStyle: "none", overflowX: "auto", maxWidth: "100%" }}>
      {list.map((one) => <Kept key={one.key} one={one} name={name} onRemove={() => onRemove(one)} />)}
    </Stack>
  );
}

function Kept({ one, name, onRemove }: { one: TruePicture; name: string; onRemove: () => void }) {
  const views = one.turns ?? 1;
  const goesRound = views > 1;
  const words = `Revision ${one.revision}, ${one.made.replace("T", " ")}, ${lights[one.light as keyof typeof lights] ?? one.light}, ${one.samples} samples${goesRound ? `, ${views} views` : ""}`;
  const save = (moving: boolean) =>
    void attempt(() => download(service.pictureAddress(one.key, undefined, moving), `${name}, revision ${one.revision}.${moving ? "webp" : "png"}`));
  return (
    <Box component="li" sx={{ flexShrink: 0 }}>
      <Box
        component="button" type="button" title={`${words}. Save it`} aria-label={`Save picture: ${words}`} onClick={() => save(goesRound)}
        sx={{ p: 0, border: 1, borderColor: "divider", borderRadius: 1, overflow: "hidden", cursor: "pointer", display: "block", bgcolor: "background.default" }}
      >
        <Box component="img" alt="" src={service.pictureAddress(one.key, undefined, goesRound)} sx={{ height: 96, display: "block" }} />
      </Box>
      <Stack direction="row" sx={{ alignItems: "center" }}>
        <Typography variant="caption" color="text.secondary">Revision {one.revision}, {one.made.slice(11, 16)}</Typography>
        {goesRound && <Button size="small" onClick={() => save(false)} sx={{ py: 0, ml: 0.5, minWidth: 0 }}>In rows</Button>}
        <IconButton size="small" aria-label={`Throw away picture: ${words}`} title="Throw it away" onClick={onRemove} sx={{ p: 0.25, ml: "auto", fontSize: 14, lineHeight: 1 }}>×</IconButton>
      </Stack>
    </Box>
  );
}
