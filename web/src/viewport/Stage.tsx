/** One canvas with its scene and gestures; the bench and the look decide what it shows. */
import Box from "@mui/material/Box";
import { useEffect, useRef, useState } from "react";
import { Vector3 } from "three";
import { pieces, placing, shownPicks, useBench, viewFrame } from "../live/bench";
import { viewEye, viewPixel } from "../live/placing";
import { useBodies } from "../live/bodies";
import { useCurves } from "../live/curves";
import { useEnds } from "../live/ends";
import { type FlatName, type Frame, useLook, type Vec } from "../live/look";
import { useNear } from "../live/near";
import { useReach } from "../live/reach";
import { pointsOf, useShown } from "../live/shown";
import type { Place } from "../live/types";
import { colours } from "../theme/colours";
import { toolById } from "../tools/all";
import { Gestures } from "./gestures";
import { boxOf, meanNormal, verticesOf } from "./measure";
import { useSketch } from "./pointing";
import { Scene } from "./scene";

const handlePixels = 95;

export function Stage(props: { name: string; label: string; side?: FlatName; onScene(scene: Scene): void }) {
  const { name, label, side, onScene } = props;
  const host = useRef<HTMLDivElement>(null);
  const band = useRef<HTMLDivElement>(null);
  const lasso = useRef<SVGPolylineElement>(null);
  const [scene, setScene] = useState<Scene | null>(null);

  useEffect(() => {
    const made = new Scene(host.current!, side ?? null);
    const gestures = new Gestures(host.current!, made, band.current!, lasso.current!);
    const watch = new ResizeObserver(() => made.resize());
    watch.observe(host.current!);
    made.beforeDraw = () => placeHandle(made);
    const redraw = () => made.draw();
    const stops = [useSketch.subscribe(redraw), useNear.subscribe(redraw), useCurves.subscribe(redraw)];
    setScene(made);
    onScene(made);
    return () => {
      for (const stop of stops) stop();
      watch.disconnect();
      gestures.dispose();
      made.dispose();
    };
    // The stage lives as long as its side stays the same.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [side]);

  const bench = useBench();
  const { design, display, piece, others, pickKind, picked, hover, problem, problemPiece, preview, toolId, values } = bench;
  const look = useLook();
  useEffect(() => scene?.resize(), [scene, look.quick]);
  const far = useEnds((s) => s.far);
  const weights = useReach((s) => s.weights);
  const shown = useShown();

  useEffect(() => scene?.setDesign(), [scene, design, preview]);
  const bodies = useBodies();
  useEffect(() => scene?.setBodies(), [scene, bodies]);
  useEffect(() => {
    const place = problem?.place;
    const doubtful = preview?.doubtful.length && piece ? { piece, vertices: [], edges: [], faces: preview.doubtful } : null;
    const asked = shown.place && shown.piece ? { piece: shown.piece, ...elements(shown.place) } : null;
    const faults = asked ?? (place && problemPiece && !bench.soft ? { piece: problemPiece, ...elements(place) } : doubtful);
    const now = shownPicks();
    scene?.setLook({ display, piece, others, kind: now.kind, picked: now.ids, hover: preview ? null : hover, faults, held: far, weights });
  }, [scene, far, weights, display, piece, others, pickKind, picked, hover, problem, problemPiece, preview, toolId, values, look, bench.station, shown]);
  useEffect(() => {
    if (scene && shown.place) scene.see(pointsOf(shown.piece, shown.place));
    // Once each time that it is asked for, not whenever the form is drawn anew.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [scene, shown.turn]);

  return (
    <>
      <Box
        ref={host}
        data-testid={name}
        role="application"
        aria-label={label}
        tabIndex={0}
        sx={{ position: "absolute", inset: 0, touchAction: "none", "&:focus-visible": { outline: "1px solid rgba(31,111,120,0.5)", outlineOffset: "-2px" }, "& canvas": { display: "block" } }}
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

const elements = ({ vertices = [], edges = [], faces = [] }: Partial<Place>) => ({ vertices, edges, faces });

/** Lay the active tool's handle at the pivot or at the middle of the selection, and its beads on the form. */
function placeHandle(scene: Scene): void {
  const { eye } = scene;
  if (!scene.side) {
    viewFrame.current = [eye.right.toArray(), eye.up.toArray(), eye.back.toArray()] as Frame;
    viewPixel.current = eye.pixel;
    viewEye.current = eye.flat ? null : (eye.target.clone().addScaledVector(eye.back, eye.distance).toArray() as Vec);
  }
  const { toolId, piece, others, picked, pickKind, values } = useBench.getState();
  const tool = toolById(toolId);
  scene.handle.showGrips(tool?.grips?.(values) ?? [], (at) => pixelAt(scene, at));
  const parts = tool?.parts;
  const arrays = piece ? pieces.byId.get(piece) : undefined;
  const whole = tool?.needs === "piece";
  if (!parts || !arrays || (!picked.length && !whole) || useLook.getState().compare) return scene.handle.hide();
  // A preview may have other elements than the design: the handle stays at those that it leads to.
  const now = shownPicks();
  const held = whole ? Array(arrays.cage.positions.length / 3).keys() : verticesOf(arrays.cage, now.kind, now.ids);
  const box = boxOf(arrays.cage, held);
  if (pickKind === "piece")
    for (const id of others) {
      const other = pieces.byId.get(id);
      if (other) box.union(boxOf(other.cage, Array(other.cage.positions.length / 3).keys()));
    }
  const at = placing();
  const pivot = at.pivot && tool.places && toolId !== "move" ? new Vector3(...at.pivot) : box.getCenter(new Vector3());
  const normal = whole ? new Vector3(0, 0, 1) : meanNormal(arrays.cage, now.kind, now.ids);
  scene.handle.show(parts, pivot, normal, handlePixels * pixelAt(scene, pivot), at.frame, eye.back);
}

/** Millimetres that one pixel spans at a point: nearer things are larger in perspective. */
function pixelAt(scene: Scene, point: Vector3): number {
  const { eye } = scene;
  if (eye.flat) return eye.pixel;
  const depth = eye.distance - point.clone().sub(eye.target).dot(eye.back);
  return (eye.pixel * Math.max(depth, eye.distance * 0.05)) / eye.distance;
}
