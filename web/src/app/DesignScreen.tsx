import Alert from "@mui/material/Alert";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useEffect, useMemo, useState } from "react";
import { useBench } from "../live/bench";
import { CompareBar } from "../panels/CompareBar";
import { FactStrip } from "../panels/FactStrip";
import { KeySheet } from "../panels/KeySheet";
import { LookBar } from "../panels/LookBar";
import { SidePanel } from "../panels/side/SidePanel";
import { ToolCard } from "../panels/ToolCard";
import { FindTool } from "../stations/FindTool";
import { ToolDrawer } from "../stations/ToolDrawer";
import { Viewport } from "../viewport/Viewport";
import { useKeys } from "./keys";
import { go } from "./route";
import { TopBar } from "./TopBar";

export function DesignScreen({ id }: { id: string }) {
  const { open, gone, design, takeTool } = useBench();
  const [finding, setFinding] = useState(false);
  const [sheet, setSheet] = useState(false);

  useEffect(() => open(id), [id, open]);
  useEffect(() => {
    document.title = design ? `${design.name} · Zinc Otter` : "Zinc Otter";
  }, [design]);

  // A design begun "with a box" opens with the box already in hand.
  const loaded = design !== null;
  useEffect(() => {
    if (!loaded) return;
    takeTool(sessionStorage.getItem("first tool") ?? (useBench.getState().design?.pieces.length ? "move" : null));
    sessionStorage.removeItem("first tool");
  }, [loaded, takeTool]);

  const actions = useMemo(
    () => ({ find: () => setFinding(true), sheet: () => setSheet((now) => !now) }),
    [],
  );
  useKeys(actions);

  if (gone)
    return (
      <Box sx={{ p: 6, maxWidth: 560 }}>
        <Alert severity="info" action={<Button onClick={() => go("/")}>All designs</Button>}>
          This design is not here any more.
        </Alert>
      </Box>
    );
  return (
    <Box sx={{ height: "100vh", display: "flex", flexDirection: "column" }}>
      <TopBar onKeys={actions.sheet} />
      <Box sx={{ flex: "1 1 0", display: "flex", minHeight: 0 }}>
        <Box component="main" sx={{ position: "relative", flexGrow: 1, minWidth: 0 }}>
          <Viewport />
          <ToolDrawer onFind={actions.find} />
          <LookBar />
          <ToolCard />
          <CompareBar />
          {finding && <FindTool onClose={() => setFinding(false)} />}
          {sheet && <KeySheet onClose={() => setSheet(false)} />}
        </Box>
        <SidePanel />
      </Box>
      <FactStrip />
    </Box>
  );
}
