import Alert from "@mui/material/Alert";
import Box from "@mui/material/Box";
import Button from "@mui/material/Button";
import { useEffect, useMemo, useState } from "react";
import { pieces, useBench } from "../live/bench";
import { FactStrip } from "../panels/FactStrip";
import { KeySheet } from "../panels/KeySheet";
import { LookBar } from "../panels/LookBar";
import { SidePanel } from "../panels/SidePanel";
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
    () => ({ find: () => setFinding(true), sheet: () => setSheet((now) => !now), all: pickAll }),
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
      <Box sx={{ flexGrow: 1, display: "flex", minHeight: 0 }}>
        <Box component="main" sx={{ position: "relative", flexGrow: 1, minWidth: 0 }}>
          <Viewport />
          <ToolDrawer onFind={actions.find} />
          <LookBar />
          <ToolCard />
          {finding && <FindTool onClose={() => setFinding(false)} />}
          {sheet && <KeySheet onClose={() => setSheet(false)} />}
        </Box>
        <SidePanel />
      </Box>
      <FactStrip />
    </Box>
  );
}

function pickAll(): void {
  const { piece, pickKind, pick } = useBench.getState();
  const cage = piece ? pieces.byId.get(piece)?.cage : undefined;
  if (!piece || !cage) return;
  const count = {
    vertex: cage.positions.length / 3,
    edge: cage.edge_verts.length / 2,
    face: cage.face_offsets.length - 1,
  }[pickKind];
  pick(piece, [...Array(count).keys()]);
}
