/** The main view, and beside it a second flat one where it is wanted: both live. */
import Box from "@mui/material/Box";
import { useEffect, useState } from "react";
import { useShow } from "../live/stores/show";
import { mainView } from "./mainView";
import type { Scene } from "./scene";
import { SecondView } from "./SecondView";
import { Stage } from "./Stage";
import { ViewDial } from "./ViewDial";

export function Viewport() {
  const [scene, setScene] = useState<Scene | null>(null);
  const flat = useShow((s) => s.flat);
  const second = useShow((s) => s.second);
  useEffect(() => {
    mainView.scene = scene;
    return () => void (mainView.scene = null);
  }, [scene]);
  return (
    <Box sx={{ position: "absolute", inset: 0, display: "flex" }}>
      <Box sx={{ position: "relative", flex: second ? "0 0 58%" : "1 1 100%", minWidth: 0 }}>
        <Stage
          name="viewport"
          label="Viewport. Arrow keys turn the view or nudge what is picked, with Shift they pan; plus and minus zoom."
          onScene={setScene}
        />
        {scene && (
          <ViewDial
            flat={flat}
            low={second !== null}
            onFlat={() => scene.toggleFlat()}
            onView={(view) => {
              scene.eye.take(view);
              // Two that are compared stand apart along the screen, wherever it has turned to.
              scene.changed("marks");
            }}
            onFit={() => scene.fit()}
          />
        )}
      </Box>
      {second && <SecondView key={second} side={second} />}
    </Box>
  );
}
