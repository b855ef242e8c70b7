/** Lays the handle of the tool in hand at the pivot or at the middle of the selection, and its beads on the form. */
import { Vector3 } from "three";
import { contextNow, picksShown } from "../live/context";
import { usePicking } from "../live/stores/picking";
import { toolInHand, useSession } from "../live/stores/session";
import { useShow } from "../live/stores/show";
import { view } from "../live/stores/view";
import { allVertices, boxOf, meanNormal, middleOfCages, verticesOf } from "../model/measure";
import { gripsOf } from "../model/tool";
import { middleOfBox, plus, type Vec } from "../model/vec";
import { pieces } from "../live/pieces";
import type { Scene } from "./scene";

const handlePixels = 95;

export function placeHandle(scene: Scene): void {
  if (!scene.side) tellView(scene);
  const context = contextNow();
  const tool = toolInHand();
  scene.handle.showGrips(gripsOf(tool, useSession.getState().values, context), (at) => pixelAt(scene, at));
  const place = tool?.is === "verb" && tool.parts && !useShow.getState().compare ? placeFor(tool.needs === "piece") : null;
  if (!place || tool?.is !== "verb" || !tool.parts) return scene.handle.hide();
  const { pivot, frame } = context.placing;
  // What only moves stands where it is taken hold of, whatever it would turn about.
  const at = new Vector3(...(pivot && tool.places && tool.places !== "axes" ? pivot : place.middle));
  scene.handle.show(tool.parts, at, new Vector3(...place.normal), handlePixels * pixelAt(scene, at), frame, scene.eye.back);
}

/** The middle of what is held, and its mean normal; null where nothing is. */
function placeFor(whole: boolean): { middle: Vec; normal: Vec } | null {
  const { piece, others, picked, pickKind } = usePicking.getState();
  const cage = piece ? pieces.byId.get(piece)?.cage : undefined;
  if (!cage || (!picked.length && !whole)) return null;
  // A preview may have other elements than the design: the handle stays at those that it leads to.
  const now = picksShown();
  const box = boxOf(cage, whole ? allVertices(cage) : verticesOf(cage, now.kind, now.ids));
  const several = pickKind === "piece" && others.length ? middleOfCages([piece, ...others].map((id) => pieces.byId.get(id ?? "")?.cage)) : null;
  const middle = several ?? (box ? middleOfBox(box) : ([0, 0, 0] as Vec));
  return { middle, normal: whole ? [0, 0, 1] : meanNormal(cage, now.kind, now.ids) };
}

function tellView({ eye }: Scene): void {
  const back = eye.back.toArray();
  view.frame = [eye.right.toArray(), eye.up.toArray(), back];
  view.pixel = eye.pixel;
  view.target = eye.target.toArray();
  view.tall = eye.tall;
  view.field = eye.flat ? null : eye.field;
  view.eye = eye.flat ? null : plus(eye.target.toArray(), back, eye.distance);
}

/** Millimetres that one pixel spans at a point: nearer things are larger in perspective. */
function pixelAt({ eye }: Scene, point: Vector3): number {
  if (eye.flat) return eye.pixel;
  const depth = eye.distance - point.clone().sub(eye.target).dot(eye.back);
  return (eye.pixel * Math.max(depth, eye.distance * 0.05)) / eye.distance;
}
