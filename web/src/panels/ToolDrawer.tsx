import { Fragment } from "react";
import Button from "@mui/material/Button";
import Paper from "@mui/material/Paper";
import Typography from "@mui/material/Typography";
import { usePicking } from "../live/stores/picking";
import { tools, useSession } from "../live/stores/session";
import { takeTool } from "../live/tooling";
import { briefly, shortcut } from "../model/keys";
import { stationName } from "../model/stations";
import { colours } from "../theme/colours";
import { DrawingIcon } from "../theme/icons";
import { focusCard } from "./parts/focus";

/** Taken up by a key, the next keys are meant for its numbers. */
function take(id: string, event: React.MouseEvent): void {
  takeTool(id);
  if (event.detail === 0) requestAnimationFrame(focusCard);
}

export function ToolDrawer({ onFind }: { onFind(): void }) {
  const station = useSession((s) => s.station);
  const toolId = useSession((s) => s.toolId);
  const anyPicked = usePicking((s) => s.picked.length > 0);
  const name = stationName(station);
  const own = tools().all.filter((tool) => tool.station === station);
  const many = own.length > 14;
  return (
    <Paper
      elevation={2}
      component="aside"
      aria-label={`Tools of ${name}`}
      sx={{ position: "absolute", left: 12, top: 12, width: 158, p: 1, maxHeight: "calc(100% - 24px)", overflow: "auto", borderRadius: 2, zIndex: 2 }}
    >
      <Typography variant="h3" sx={{ px: 0.5, pb: 0.5 }}>
        {name}
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
            disabled={tool.is === "verb" && tool.atOnce && !anyPicked}
            aria-pressed={toolId === tool.id}
            aria-keyshortcuts={tool.key && shortcut(tool.key)}
            startIcon={<DrawingIcon drawing={tool.icon} />}
            onClick={(event) => take(tool.id, event)}
            sx={{ justifyContent: "flex-start", py: many ? 0 : 0.45, px: 1, minHeight: 24, fontWeight: 500, whiteSpace: "nowrap" }}
          >
            {tool.name}
            <Typography component="span" aria-hidden sx={{ ml: "auto", fontSize: 11.5, opacity: 0.65 }}>
              {tool.key && briefly(tool.key)}
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
