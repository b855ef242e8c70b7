import Alert from "@mui/material/Alert";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useEffect, useMemo, useRef, useState } from "react";
import { open } from "../live/opening";
import { handIn, useSession } from "../live/stores/session";
import { useDesign } from "../live/stores/design";
import { say } from "../live/stores/problem";
import { setStation, showHand, takeFile, takeTool } from "../live/tooling";
import { CompareBar } from "../panels/CompareBar";
import { FactStrip } from "../panels/FactStrip";
import { KeySheet } from "../panels/KeySheet";
import { MapLegend } from "../panels/MapLegend";
import { ShowBar } from "../panels/ShowBar";
import { SidePanel } from "../panels/side/SidePanel";
import { ToolCard } from "../panels/ToolCard";
import { FindTool } from "../panels/FindTool";
import { ToolDrawer } from "../panels/ToolDrawer";
import { Viewport } from "../viewport/Viewport";
import { useDrop } from "./drop";
import { useKeys } from "./keys";
import { keyTable } from "./keyTable";
import { registry } from "./registry";
import { go } from "./route";
import { TopBar } from "./TopBar";

handIn(registry);

export default function DesignScreen({ id }: { id: string }) {
  const gone = useDesign((s) => s.gone);
  const name = useDesign((s) => s.design?.name);
  const [finding, setFinding] = useState(false);
  const [sheet, setSheet] = useState(false);

  const stationThen = useRef<string | null>(null);
  useEffect(() => {
    stationThen.current = useSession.getState().station;
    return open(id);
  }, [id]);
  useEffect(() => {
    document.title = name === undefined ? "Zinc Otter" : `${name} · Zinc Otter`;
  }, [name]);

  // A design begun "with a box" opens with the box already in hand.
  const loaded = name !== undefined;
  useEffect(() => {
    if (!loaded) return;
    const first = sessionStorage.getItem("first tool");
    sessionStorage.removeItem("first tool");
    if (first !== null) takeTool(first);
    // Who has taken up a tool or gone elsewhere while the design was fetched keeps it.
    else if (useSession.getState().toolId !== null) showHand();
    // Where there is nothing to shape yet, something is put down first.
    else if (useSession.getState().station === stationThen.current) setStation(useDesign.getState().design?.pieces.length ? "shape" : "rough");
  }, [loaded]);

  const actions = useMemo(
    () => ({ find: () => setFinding(true), sheet: () => setSheet((now) => !now) }),
    [],
  );
  const rows = useMemo(() => keyTable(registry, actions), [actions]);
  useKeys(rows);

  useDrop((file) => {
    if (takeFile(file)) return;
    const detail = `${file.name} cannot be brought in here. Pictures are PNG, JPEG or WebP; components and cages STL, OBJ, PLY, GLB, 3MF, USD or STEP; archives are opened from the list of designs.`;
    say({ type: "/problems/bad-file", title: "Unknown file", status: 415, detail });
  });

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
          <ShowBar />
          <ToolCard />
          <MapLegend />
          <CompareBar />
          {finding && <FindTool onClose={() => setFinding(false)} />}
          {sheet && <KeySheet rows={rows} onClose={() => setSheet(false)} />}
        </Box>
        <SidePanel />
      </Box>
      <FactStrip />
    </Box>
  );
}
