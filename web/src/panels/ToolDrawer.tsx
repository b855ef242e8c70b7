import Button from "@mui/material/Button";
import Paper from "@mui/material/Paper";
import Stack from "@mui/material/Stack";
import Typography from "@mui/material/Typography";
import { usePicking } from "../live/stores/picking";
import { tools, useSession } from "../live/stores/session";
import { takeTool } from "../live/tooling";
import { briefly, shortcut } from "../model/keys";
import { stationName } from "../model/stations";
import type { Tool } from "../model/tool";
import { colours } from "../theme/colours";
import { DrawingIcon } from "../theme/icons";
import { tight, unseen } from "../theme/tight";
import { focusCard } from "./parts/focus";

/** Taken up by a key, the next keys are meant for its numbers. */
function take(id: string, event: React.MouseEvent): void {
  takeTool(id);
  if (event.detail === 0) requestAnimationFrame(focusCard);
}

export function ToolDrawer({ onFind }: { onFind(): void }) {
  const station = useSession((s) => s.station);
  const name = stationName(station);
  const own = tools().all.filter((tool) => tool.station === station);
  // Rows no lower than a finger needs, and all of them within a screen of 800 pixels.
  const height = own.length > 14 ? 24 : 31;
  return (
    <Paper
      elevation={2}
      component="aside"
      aria-label={`Tools of ${name}`}
      sx={{ position: "absolute", left: 12, top: 12, width: 166, maxHeight: "calc(100% - 24px)", overflow: "auto", borderRadius: 2, zIndex: 2, pb: 0.25, [tight]: narrow }}
    >
      <Stack direction="row" sx={{ position: "sticky", top: 0, zIndex: 1, alignItems: "center", pl: 1.5, pr: 0.75, pt: 0.5, bgcolor: "background.paper" }}>
        <Typography component="h2" variant="h3" sx={{ flexGrow: 1 }}>{name}</Typography>
        <Button size="small" color="inherit" aria-label="Find a tool" aria-keyshortcuts="/" title="Find a tool ( / )" onClick={onFind} sx={{ minWidth: 0, minHeight: 26, px: 0.75, color: "text.secondary", fontWeight: 500 }}>
          Find
          <KeyHint>/</KeyHint>
        </Button>
      </Stack>
      {sectionsOf(own).map(({ section, list }, i) => (
        <Stack key={section} direction="row" role="group" aria-label={section ? `${section}: tools` : name} sx={{ pl: section ? 0 : 0.75, pr: 0.75, mt: i ? "4px" : 0 }}>
          {section && <Spine>{section}</Spine>}
          <Stack sx={{ flexGrow: 1, minWidth: 0 }}>
            {list.map((tool) => <Row key={tool.id} tool={tool} height={height} />)}
          </Stack>
        </Stack>
      ))}
    </Paper>
  );
}

/** Only the drawings, until the pointer or the keys come near. */
const narrow = {
  width: 46, overflowX: "hidden",
  "&:hover, &:focus-within": { width: 166, zIndex: 3 },
  "&:not(:hover):not(:focus-within)": { "& h2, & [aria-hidden].MuiTypography-root": unseen, "& [aria-pressed]": { fontSize: 0 } },
};

function sectionsOf(own: readonly Tool[]): { section: string; list: Tool[] }[] {
  const found: { section: string; list: Tool[] }[] = [];
  for (const tool of own) {
    const section = tool.section ?? "";
    if (found.at(-1)?.section !== section) found.push({ section, list: [] });
    found.at(-1)?.list.push(tool);
  }
  return found;
}

/** The name of a section, along its side: a line of its own for each would push the last tools off the screen. */
function Spine({ children }: { children: string }) {
  return (
    <Typography
      aria-hidden
      component="span"
      sx={{ writingMode: "vertical-rl", transform: "rotate(180deg)", textAlign: "center", width: 19, flexShrink: 0, fontSize: 10.5, lineHeight: "17px", whiteSpace: "nowrap", color: "text.secondary", borderLeft: `1px solid ${colours.zincLight}`, my: "1px" }}
    >
      {children}
    </Typography>
  );
}

function KeyHint({ children }: { children: React.ReactNode }) {
  return <Typography component="span" aria-hidden sx={{ ml: "auto", pl: 0.75, fontSize: 11.5, color: "inherit", opacity: 0.8 }}>{children}</Typography>;
}

function Row({ tool, height }: { tool: Tool; height: number }) {
  const inHand = useSession((s) => s.toolId === tool.id);
  const anyPicked = usePicking((s) => s.picked.length > 0);
  return (
    <Button
      fullWidth
      color={inHand ? "primary" : "inherit"}
      variant={inHand ? "contained" : "text"}
      disabled={tool.is === "verb" && tool.atOnce && !anyPicked}
      aria-pressed={inHand}
      aria-keyshortcuts={tool.key && shortcut(tool.key)}
      startIcon={<DrawingIcon drawing={tool.icon} />}
      onClick={(event) => take(tool.id, event)}
      sx={{ justifyContent: "flex-start", py: 0, px: 0.75, height, minHeight: 24, fontWeight: 500, whiteSpace: "nowrap", "& .MuiButton-startIcon": { ml: 0, mr: 0.75 } }}
    >
      {tool.name}
      {tool.key && <KeyHint>{briefly(tool.key)}</KeyHint>}
    </Button>
  );
}
