/** Tells a scene what has changed in the stores; it looks at them itself before it draws the next time. */
import { useBodies } from "../live/stores/bodies";
import { useCurves } from "../live/stores/curves";
import { useDesign } from "../live/stores/design";
import { useEnds } from "../live/stores/ends";
import { useGaps } from "../live/stores/gaps";
import { useMap } from "../live/stores/map";
import { useNear } from "../live/stores/near";
import { useHover, usePicking } from "../live/stores/picking";
import { useProblem } from "../live/stores/problem";
import { useProofs } from "../live/stores/proofs";
import { useReach } from "../live/stores/reach";
import { useSession } from "../live/stores/session";
import { useSharp } from "../live/stores/sharp";
import { useShow } from "../live/stores/show";
import { pointsOf, useShown } from "../live/stores/shown";
import { useSketch, useSpot } from "../live/stores/sketch";
import { lightBy } from "./materials";
import type { Scene } from "./scene";

export function watchStores(scene: Scene): () => void {
  const marks = () => scene.changed("marks");
  const draw = () => scene.draw();
  const stops = [
    useDesign.subscribe((now, before) => {
      if (now.design !== before.design || now.preview !== before.preview) scene.changed("design");
    }),
    useBodies.subscribe(() => scene.changed("bodies")),
    ...[usePicking, useHover, useProblem, useEnds, useReach, useMap].map((store) => store.subscribe(marks)),
    useShow.subscribe((now, before) => {
      if (now.quick !== before.quick) scene.resize();
      if (now.light !== before.light) lightBy(now.light);
      scene.changed("marks");
    }),
    // The handle and its beads stand where the values put them, and some marks go with the station.
    useSession.subscribe((now, before) => (now.station === before.station ? scene.pace.drawSoon() : marks())),
    ...[useSketch, useSpot, useNear, useCurves, useGaps, useProofs, useSharp].map((store) => store.subscribe(draw)),
    useShown.subscribe((now, before) => {
      marks();
      if (now.turn !== before.turn && now.place) scene.see(pointsOf(now.piece, now.place));
    }),
  ];
  scene.changed("design");
  scene.changed("bodies");
  return () => stops.forEach((stop) => stop());
}
