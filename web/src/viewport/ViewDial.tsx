/** The view dial: a round control whose sectors turn the eye to a named view. */
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import Paper from "@mui/material/Paper";
import Stack from "@mui/material/Stack";
import Tooltip from "@mui/material/Tooltip";
import { FitIcon } from "../theme/icons";
import { colours } from "../theme/colours";
import { tight } from "../theme/tight";
import { type ViewName, viewNames } from "./camera";

const label: Record<ViewName, string> = {
  front: "Front", right: "Right", back: "Back", left: "Left", top: "Top", bottom: "Low", "three-quarter": "Three-quarter",
};

/** A sector of a ring between two radii and two angles (degrees, clockwise from the top), about (60, 60). */
function sector(inner: number, outer: number, from: number, to: number): string {
  const at = (r: number, angle: number) => {
    const a = (angle * Math.PI) / 180;
    return `${(60 + r * Math.sin(a)).toFixed(2)} ${(60 - r * Math.cos(a)).toFixed(2)}`;
  };
  return `M${at(outer, from)}A${outer} ${outer} 0 0 1 ${at(outer, to)}L${at(inner, to)}A${inner} ${inner} 0 0 0 ${at(inner, from)}Z`;
}

const shapes: Record<ViewName, { d: string; x: number; y: number; text: string }> = {
  back: { d: sector(36, 57, -44, 44), x: 60, y: 17, text: "Back" },
  right: { d: sector(36, 57, 46, 134), x: 106.5, y: 60, text: "Right" },
  front: { d: sector(36, 57, 136, 224), x: 60, y: 107, text: "Front" },
  left: { d: sector(36, 57, 226, 314), x: 13.5, y: 60, text: "Left" },
  top: { d: sector(15, 33.5, -88, 88), x: 60, y: 38.5, text: "Top" },
  bottom: { d: sector(15, 33.5, 92, 268), x: 60, y: 86, text: "Low" },
  "three-quarter": { d: sector(0, 13, 0, 359.9), x: 60, y: 60.5, text: "¾" },
};

export function ViewDial(props: { flat: boolean; low: boolean; onFlat(): void; onView(view: ViewName): void; onFit(): void }) {
  return (
    <Paper
      elevation={2}
      role="group"
      aria-label="View dial"
      sx={{ position: "absolute", top: props.low ? 66 : 12, right: 12, p: 1, borderRadius: 2, width: 140, textAlign: "center", [tight]: { p: 0.5, width: 124 } }}
    >
      <Box component="svg" viewBox="0 0 120 120" sx={{ width: 122, height: 122, display: "block", mx: "auto", [tight]: { display: "none" } }}>
        {viewNames.map((view, i) => {
          const { d, x, y, text } = shapes[view];
          const turned = view === "right" || view === "left";
          return (
            <Box
              component="g"
              key={view}
              role="button"
              tabIndex={0}
              aria-label={`${label[view]} view (key ${i + 1})`}
              onClick={() => props.onView(view)}
              onKeyDown={(event: React.KeyboardEvent) => {
                if (event.key === "Enter" || event.key === " ") props.onView(view);
              }}
              sx={{
                cursor: "pointer",
                "& path": { fill: "#EAE5DA", transition: "fill .12s" },
                "&:hover path, &:focus-visible path": { fill: "#CFE0DF" },
                "&:focus-visible": { outline: "none" },
                "&:focus-visible path": { stroke: colours.river, strokeWidth: 2 },
              }}
            >
              <path d={d} />
              <text
                x={x}
                y={y}
                fontSize={10.5}
                fontWeight={600}
                fill={colours.ink}
                textAnchor="middle"
                dominantBaseline="central"
                transform={turned ? `rotate(${view === "right" ? 90 : -90} ${x} ${y})` : undefined}
                pointerEvents="none"
              >
                {text}
              </text>
            </Box>
          );
        })}
      </Box>
      <Stack direction="row" spacing={0.5} sx={{ mt: 0.5, justifyContent: "center", [tight]: { mt: 0 } }}>
        <Tooltip title="Perspective or flat (key 0)">
          <Button size="small" onClick={props.onFlat} aria-pressed={props.flat} sx={{ minWidth: 0, px: 0.75, fontSize: 12.5 }}>
            {props.flat ? "Flat" : "Perspective"}
          </Button>
        </Tooltip>
        <Tooltip title="Fit all into view (key .)">
          <Button size="small" onClick={props.onFit} aria-label="Fit all into view" sx={{ minWidth: 0, px: 0.5 }}>
            <FitIcon fontSize="small" />
          </Button>
        </Tooltip>
      </Stack>
    </Paper>
  );
}
