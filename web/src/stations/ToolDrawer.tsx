import { Fragment } from "react";
import Button from "@mui/material/Button";
import Paper from "@mui/material/Paper";
import Typography from "@mui/material/Typography";
import { useBench } from "../live/bench";
import { colours } from "../theme/colours";
import { tools } from "../tools/all";
import type { Tool } from "../tools/tool";
import { stations } from "./stations";

export function keyWords(tool: Tool): string | undefined {
  if (!tool.key) return undefined;
  const key = tool.key.length === 1 ? tool.key.toUpperCase() : "Del";
  return tool.shift ? `⇧ ${key}` : key;
}

export function ToolDrawer({ onFind }: { onFind(): void }) {
  const { station, toolId, takeTool, picked } = useBench();
  const here = stations.find((s) => s.id === station)!;
  const own = tools.filter((tool) => tool.station === station);
  const many = own.length > 14;
  return (
    <Paper
      elevation={2}
      component="aside"
      aria-label={`Tools of ${here.name}`}
      sx={{ position: "absolute", left: 12, top: 12, width: 158, p: 1, maxHeight: "calc(100% - 24px)", overflow: "auto", borderRadius: 2, zIndex: 2 }}
    >
      <Typography variant="h3" sx={{ px: 0.5, pb: 0.5 }}>
        {here.name}
      </Typography>
      {own.map((tool, i) => (
        <Fragment key={tool.id}>
          {tool.section && tool.section !== own[i - 1]?.section && (
            <Typography component="h4" variant="body2" sx={{ px: 0.75, pt: i ? 0.4 : 0, fontSize: 11, lineHeight: 1.35, color: "text.secondary" }}>
              {tool.section}
            </Typography>
          )}
          <Button
            fullWidth
            color={toolId === tool.id ? "primary" : "inherit"}
            variant={toolId === tool.id ? "contained" : "text"}
            disabled={tool.atOnce && picked.length === 0}
            aria-pressed={toolId === tool.id}
            aria-keyshortcuts={tool.key && (tool.shift ? `Shift+${tool.key}` : tool.key)}
            startIcon={<tool.Icon />}
            onClick={() => takeTool(tool.id)}
            sx={{ justifyContent: "flex-start", py: many ? 0 : 0.45, px: 1, minHeight: 24, fontWeight: 500, whiteSpace: "nowrap" }}
          >
            {tool.name}
            <Typography component="span" aria-hidden sx={{ ml: "auto", fontSize: 11.5, opacity: 0.65 }}>
              {keyWords(tool)}
            </Typography>
          </Button>
        </Fragment>
      ))}
      <Button
        fullWidth
        size="small"
        color="inherit"
        onClick={onFind}
        sx={{ mt: 0.5, justifyContent: "flex-start", color: "text.secondary", borderTop: `1px solid ${colours.zincLight}`, borderRadius: 0, fontWeight: 400 }}
      >
        Find a tool
        <Typography component="span" aria-hidden sx={{ ml: "auto", fontSize: 11.5, opacity: 0.65 }}>
          /
        </Typography>
      </Button>
    </Paper>
  );
}
