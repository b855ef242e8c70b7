import Box from "@mui/material/Box";
import { useEffect, useMemo, useRef, useState } from "react";
import { Vector3 } from "three";
import { pieces, useBench } from "../live/bench";
import { colours } from "../theme/colours";
import { toolById } from "../tools/all";
import { Gestures } from "./gestures";
import { boxOf, meanNormal, verticesOf } from "./measure";
import { Scene } from "./scene";
import { ViewDial } from "./ViewDial";
import { useViewKeys } from "./viewKeys";

const handlePixels = 95;

export function Viewport() {
  const host = useRef<HTMLDivElement>(null);
  const band = useRef<HTMLDivElement>(null);
  const [scene, setScene] = useState<Scene | null>(null);
  const [flat, setFlat] = useState(false);

  useEffect(() => {
    const made = new Scene(host.current!);
    const gestures = new Gestures(host.current!, made, band.current!);
    const watch = new ResizeObserver(() => made.resize());
    watch.observe(host.current!);
    made.beforeDraw = () => placeHandle(made);
    setScene(made);
    return () => {
      watch.disconnect();
      gestures.dispose();
      made.dispose();
    };
  }, []);

  const { design, display, piece, pickKind, picked, hover, problem, problemPiece, preview, toolId } = useBench();
  const visible = useMemo(() => {
    const names = new Set<string>();
    for (const p of design?.pieces ?? []) {
      names.add(`known ${p.id}`);
      if (p.visible) names.add(p.id);
    }
    return names;
  }, [design]);

  useEffect(() => {
    const place = problem?.place;
    const faults = place && problemPiece ? { piece: problemPiece, ...place } : null;
    scene?.setLook({ display, visible, piece, kind: pickKind, picked, hover, faults });
  }, [scene, display, visible, piece, pickKind, picked, hover, problem, problemPiece, preview, toolId]);

  useEffect(() => {
    if (!scene) return;
    scene.eye.flat = flat;
    scene.draw();
  }, [scene, flat]);

  useViewKeys(scene, () => setFlat((now) => !now));

  return (
    <Box sx={{ position: "absolute", inset: 0 }}>
      <Box
        ref={host}
        data-testid="viewport"
        role="application"
        aria-label="Viewport. Arrow keys turn the view, with Shift they pan; plus and minus zoom."
        tabIndex={0}
        sx={{ position: "absolute", inset: 0, touchAction: "none", "&:focus-visible": { outline: "1px solid rgba(31,111,120,0.5)", outlineOffset: "-2px" }, "& canvas": { display: "block" } }}
      />
      <Box
        ref={band}
        sx={{ position: "absolute", display: "none", pointerEvents: "none", border: `1.5px solid ${colours.selection}`, bgcolor: "rgba(176,48,122,0.08)" }}
      />
      {scene && (
        <ViewDial
          flat={flat}
          onFlat={() => setFlat(!flat)}
          onView={(view) => {
            scene.eye.take(view);
            scene.draw();
          }}
          onFit={() => scene.fit()}
        />
      )}
    </Box>
  );
}

/** Lay the active tool's handle at the middle of the selection. */
function placeHandle(scene: Scene): void {
  const { toolId, piece, picked, pickKind } = useBench.getState();
  const parts = toolById(toolId)?.parts;
  const arrays = piece ? pieces.byId.get(piece) : undefined;
  if (!parts || !arrays || !picked.length) return scene.handle.hide();
  const middle = boxOf(arrays.cage, verticesOf(arrays.cage, pickKind, picked)).getCenter(new Vector3());
  const normal = meanNormal(arrays.cage, pickKind, picked);
  scene.handle.show(parts, middle, normal, handlePixels * pixelAt(scene, middle));
}

/** Millimetres that one pixel spans at a point: nearer things are larger in perspective. */
function pixelAt(scene: Scene, point: Vector3): number {
  const { eye } = scene;
  if (eye.flat) return eye.pixel;
  const depth = eye.distance - point.clone().sub(eye.target).dot(eye.back);
  return (eye.pixel * Math.max(depth, eye.distance * 0.05)) / eye.distance;
}
