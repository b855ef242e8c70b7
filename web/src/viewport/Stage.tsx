/** One canvas with its scene and gestures. What the scene shows goes to it from the stores, past React. */
import Box from "@mui/material/Box";
import { useEffect, useRef } from "react";
import { type FlatName, useShow } from "../live/stores/show";
import { colours } from "../theme/colours";
import { Gestures } from "./gestures";
import { placeHandle } from "./placeHandle";
import { Scene } from "./scene";
import { watchStores } from "./watchStores";

export function Stage(props: { name: string; label: string; side?: FlatName; onScene(scene: Scene | null): void }) {
  const { name, label, side, onScene } = props;
  const host = useRef<HTMLDivElement>(null);
  const band = useRef<HTMLDivElement>(null);
  const lasso = useRef<SVGPolylineElement>(null);
  const smooth = useShow((s) => s.smooth);

  useEffect(() => {
    if (!host.current || !band.current || !lasso.current) return;
    const scene = new Scene(host.current, side ?? null, smooth);
    const gestures = new Gestures(host.current, scene, band.current, lasso.current);
    const watch = new ResizeObserver(() => scene.resize());
    watch.observe(host.current);
    scene.beforeDraw = () => placeHandle(scene);
    const stop = watchStores(scene);
    onScene(scene);
    return () => {
      stop();
      watch.disconnect();
      gestures.dispose();
      scene.dispose();
      onScene(null);
    };
  }, [side, smooth, onScene]);

  return (
    <>
      <Box
        ref={host}
        data-testid={name}
        role="application"
        aria-label={label}
        tabIndex={0}
        sx={{ position: "absolute", inset: 0, touchAction: "none", "&:focus-visible": { outlineOffset: "-3px" }, "& canvas": { display: "block" } }}
      />
      <Box
        ref={band}
        sx={{ position: "absolute", display: "none", pointerEvents: "none", border: `1.5px solid ${colours.selection}`, bgcolor: "rgba(176,48,122,0.08)" }}
      />
      <Box component="svg" aria-hidden sx={{ position: "absolute", inset: 0, width: "100%", height: "100%", pointerEvents: "none" }}>
        <polyline ref={lasso} style={{ display: "none" }} fill="rgba(176,48,122,0.08)" stroke={colours.selection} strokeWidth={1.5} />
      </Box>
    </>
  );
}
