/** A second, flat view beside the first: from the front, the right or the top. */
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Paper from "@mui/material/Paper";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { useState } from "react";
import { type FlatName, show } from "../live/stores/show";
import type { Scene } from "./scene";
import { Stage } from "./Stage";

const sides: [FlatName, string][] = [
  ["front", "Front"],
  ["right", "Right"],
  ["top", "Top"],
];

export function SecondView({ side }: { side: FlatName }) {
  const [scene, setScene] = useState<Scene | null>(null);
  return (
    <Box sx={{ position: "relative", flex: "1 1 0", minWidth: 0, borderLeft: "2px solid", borderColor: "divider" }}>
      <Stage name="second-view" label={`Second view, flat, from the ${side}.`} side={side} onScene={setScene} />
      <Paper elevation={2} sx={{ position: "absolute", top: 66, right: 12, p: 0.5, borderRadius: 2, display: "flex", gap: 0.5 }}>
        <ToggleButtonGroup size="small" exclusive value={side} aria-label="Second view from" onChange={(_, s: FlatName | null) => s && show({ second: s })}>
          {sides.map(([s, name]) => (
            <ToggleButton key={s} value={s} aria-label={`Second view from ${s}`}>{name}</ToggleButton>
          ))}
        </ToggleButtonGroup>
        <Button size="small" onClick={() => scene?.fit()} aria-label="Fit all into the second view">Fit</Button>
        <Button size="small" onClick={() => show({ second: null })} aria-label="Close the second view">Close</Button>
      </Paper>
    </Box>
  );
}
