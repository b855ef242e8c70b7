/** Bring a picture in, on the plane of a view. */
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { service } from "../../live/service";
import type { CardProps } from "../../model/tool";
import { FileCard } from "../parts/FileCard";

const views = ["front", "right", "top", "back", "left", "bottom"];

export default function PictureCard({ tool }: CardProps) {
  const [view, setView] = useState("front");
  return (
    <FileCard
      tool={tool}
      hint="PNG, JPEG or WebP, laid on the plane of a flat view. Size it afterwards by two points whose distance is known."
      send={(design, revision, file) => service.addPicture(design, revision, file, view)}
    >
      <TextField select label="On the view" value={view} onChange={(event) => setView(event.target.value)} sx={{ minWidth: 110 }}>
        {views.map((v) => <MenuItem key={v} value={v}>{v}</MenuItem>)}
      </TextField>
    </FileCard>
  );
}
